package listing

import (
	"net/url"
	"slices"
	"strings"

	"inktally/core/hours"
	"inktally/core/lineup"
	"inktally/core/text"

	"github.com/nyaruka/phonenumbers"
)

// Compare holds a field as a listing has it against what should stand there.
func Compare(b Business, f Field, theirs string) Check {
	c := Check{Field: f, Theirs: text.Collapse(theirs)}
	switch f {
	case Name:
		c.Own = b.Name
		c.Verdict = sameName(b.Name, c.Theirs)
	case Phone:
		c.Own = strings.Join(b.Phones[:min(len(b.Phones), 1)], "")
		c.Verdict, c.Note = b.samePhone(c.Theirs)
	case Address:
		c.Own = b.Address
		c.Verdict, c.Note = b.sameAddress(c.Theirs)
	case Hours:
		c.Own = b.Hours
		c.Verdict = sameHours(b.Hours, c.Theirs)
	case Site:
		c.Own = b.Site
		c.Verdict, c.Note = sameSite(b.Site, c.Theirs)
	}
	return c
}

func verdict(same bool) Verdict {
	if same {
		return Agrees
	}
	return Differs
}

// legal are the endings of the names of firms that say nothing of them.
var legal = func() map[string]bool {
	out := map[string]bool{}
	for _, w := range strings.Fields(
		"inc incorporated llc ltd limited corp corporation llp lp plc co company gmbh ug ag kg ohg " +
			"ek mbh sarl sas eurl sasu srl spa sl sa bv nv pty enr ltee") {
		out[w] = true
	}
	return out
}()

// nameKey is what a name is compared by: its words without a legal ending, and is and.
func nameKey(name string) []string {
	tokens := text.Tokens(strings.NewReplacer("L.L.C.", "llc", "l.l.c.", "llc", "S.A.R.L.", "sarl", "e.K.",
		"ek").Replace(name))
	for len(tokens) > 1 && legal[tokens[len(tokens)-1]] {
		tokens = tokens[:len(tokens)-1]
	}
	return tokens
}

// SameName reports whether two names are those of one firm, whatever their legal ending, case and signs.
func SameName(a, b string) bool {
	key := nameKey(a)
	return len(key) > 0 && slices.Equal(key, nameKey(b))
}

func sameName(own, theirs string) Verdict {
	switch {
	case len(nameKey(theirs)) == 0:
		return NotThere
	case len(nameKey(own)) == 0:
		return NotAsked
	}
	return verdict(SameName(own, theirs))
}

// number reads a telephone number in its international form, with its extension.
func number(typed, country string) (e164, extension string) {
	if country == "" {
		country = "US"
	}
	n, err := phonenumbers.Parse(typed, country)
	if err != nil || !phonenumbers.IsPossibleNumber(n) {
		return "", ""
	}
	return phonenumbers.Format(n, phonenumbers.E164), n.GetExtension()
}

// samePhone holds a number against those of the business: any of them agrees.
func (b Business) samePhone(theirs string) (Verdict, Note) {
	e164, extension := number(theirs, b.Country)
	if e164 == "" {
		return NotThere, NoNote
	}
	if len(b.Phones) == 0 {
		return NotAsked, NoNote
	}
	for _, own := range b.Phones {
		if n, ext := number(own, b.Country); n == e164 {
			if ext != extension {
				return Agrees, Extension
			}
			return Agrees, NoNote
		}
	}
	return Differs, NoNote
}

func sameHours(own, theirs string) Verdict {
	is, ok := hours.Parse(theirs)
	if !ok {
		return NotThere
	}
	want, ok := hours.Parse(own)
	if !ok {
		return NotAsked
	}
	return verdict(want.Equal(is))
}

// sameSite holds an address against that of the business: www, scheme and what follows the host are no differences.
func sameSite(own, theirs string) (Verdict, Note) {
	is, path := hostOf(theirs)
	if is == "" {
		return NotThere, NoNote
	}
	want, _ := hostOf(own)
	switch {
	case want == "":
		return NotAsked, NoNote
	case is != want && lineup.Domain("https://"+is) != lineup.Domain("https://"+want):
		return Differs, NoNote
	case is != want || path != "":
		return Agrees, InnerPage
	}
	return Agrees, NoNote
}

// hostOf returns the host of an address without www, and its path without a slash at its ends; empty for what is
// none.
func hostOf(address string) (host, path string) {
	address = strings.TrimSpace(address)
	if address == "" || strings.ContainsAny(address, " \t") {
		return "", ""
	}
	if !strings.Contains(address, "://") {
		address = "https://" + address
	}
	u, err := url.Parse(address)
	if err != nil || !strings.Contains(u.Hostname(), ".") {
		return "", ""
	}
	return strings.TrimPrefix(strings.ToLower(u.Hostname()), "www."), strings.Trim(u.Path, "/")
}
