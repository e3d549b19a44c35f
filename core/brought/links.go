package brought

import (
	"strings"

	"inktally/core/backlink"
)

// link takes a row of a list of links.
func (t *taker) link(row []string) Reason {
	page := t.cell(row, LinkPage)
	domain, hasPath := pageOf(page)
	named, _ := pageOf(t.cell(row, LinkDomain))
	switch {
	case isSum(page) || isSum(t.cell(row, LinkDomain)):
		return IsSum
	case domain == "" && named == "":
		return NoSite
	case domain == "":
		domain = named
	}
	l := Link{Row: backlink.Row{Domain: domain, Title: cut(t.cell(row, LinkTitle)), Anchor: cut(t.cell(row, Anchor)),
		FirstSeen: t.day(row, FirstSeen), Language: cut(t.cell(row, Language)), Lost: lost(t.cell(row, Lost))}}
	if hasPath {
		l.Page = cut(page)
	}
	l.Target, _ = pageOf(t.cell(row, Target))
	if n, ok := figure(t.cell(row, LinksFrom)); ok {
		l.Links = int(n)
	}
	l.NotFollowed = t.notFollowed(row)
	site := 0
	for i, c := range t.layout.Columns {
		if c != StrengthOfPage && c != StrengthOfSite || i >= len(row) {
			continue
		}
		n, ok := figure(row[i])
		if !ok || n > 100 {
			continue
		}
		if c == StrengthOfPage {
			l.OfPage = backlink.Of(n)
		} else if site < len(l.OfSite) {
			l.OfSite[site] = backlink.Of(n)
			site++
		}
	}
	key := l.Target + "\x00" + l.Page + "\x00" + l.Domain + "\x00" + l.Anchor
	if t.seen[key] {
		return Again
	}
	t.seen[key] = true
	t.out.Links = append(t.out.Links, l)
	return ""
}

// notFollowed reports whether a row says that its link is not followed.
func (t *taker) notFollowed(row []string) bool {
	if cell := strings.ToLower(t.cell(row, NotFollow)); cell != "" {
		yes, _ := flag(cell)
		return yes || strings.Contains(cell, "nofollow")
	}
	cell := strings.ToLower(t.cell(row, Followed))
	yes, ok := flag(cell)
	return ok && !yes || strings.Contains(cell, "nofollow")
}

// lost reports whether a cell says that a link is not seen any more: a day, a yes, or a word for it.
func lost(cell string) bool {
	if cell == "" {
		return false
	}
	if _, ok := dayOf(cell, false); ok {
		return true
	}
	lower := strings.ToLower(cell)
	for _, word := range []string{"lost", "removed", "gone", "dead", "verloren", "perdu", "perdido", "perso",
		"deleted"} {
		if strings.Contains(lower, word) {
			return !strings.Contains(lower, "not "+word)
		}
	}
	return lower == "yes" || lower == "true" || lower == "1"
}

// mostLetters is how much of a text of a row is kept.
const mostLetters = 400

func cut(s string) string {
	if len(s) <= mostLetters {
		return s
	}
	r := []rune(s)
	return string(r[:min(len(r), mostLetters)])
}
