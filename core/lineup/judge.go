package lineup

import (
	"net/url"
	"regexp"
	"strings"

	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/text"
)

// Evidence is what is known when an entry is judged.
type Evidence struct {
	// ClientDomain and ClientPhone are the client's own, empty if they are not known.
	ClientDomain, ClientPhone string
	// Said is what a person said that the entry's site is, empty for nothing; SaidFor the
	// client for whom, empty for this one.
	Said    Kind
	SaidFor string
	// Trades is in lineups of how many trades the entry's site stands.
	Trades int
	// Read is the entry's page and Root the first page of its site, nil if they were not
	// read.
	Read, Root *page.Page
	// NamesService reports whether words name a service of the client, NamesPlace a place of it; nil if none
	// is known.
	NamesService, NamesPlace func(string) bool
}

const (
	// A page with so many telephone numbers lists businesses, a site in the lineups of so
	// many trades is a directory, one with pages for so many states a chain (rule 6.1).
	directoryListings = 5
	directoryTrades   = 3
	chainStates       = 3
	// With so many prices beside a cart a page sells goods.
	goodsPrices = 3
)

// Judge returns the kind of an entry by its evidence, what a person said first (rule 6.1).
func Judge(e Entry, ev Evidence) (Kind, Reason) {
	switch {
	case ev.ClientDomain != "" && Domain(e.URL) == ev.ClientDomain:
		return Client, Reason{Code: IsClient}
	case ev.Said != "":
		return ev.Said, Reason{Code: SaidByHand, Quote: ev.SaidFor}
	case SameNumber(e.Phone, ev.ClientPhone):
		return Client, Reason{Code: SamePhone}
	}
	if quote := listed(e.Name); quote != "" {
		return ListArticle, Reason{Code: ListTitle, Quote: quote}
	}
	if why := directory(e, ev); why.Code != "" {
		return Directory, why
	}
	if n := max(States(ev.Read), States(ev.Root)); n >= chainStates {
		return Chain, Reason{Code: ManyStates, Number: n}
	}
	if quote := sells(ev.Read); quote != "" {
		return Supplier, Reason{Code: SellsGoods, Quote: quote}
	}
	if ev.Read != nil && ev.NamesService != nil && !ev.Read.Warns(page.DrawnByScript) {
		if !ev.NamesService(e.Name) && !ev.NamesService(ev.Read.Title) && !ev.NamesService(ev.Read.H1()) {
			return OtherTrade, Reason{Code: NoServiceWord}
		}
	}
	return Business, Reason{}
}

// rankedFirms is a title that counts firms.
var rankedFirms = regexp.MustCompile(
	`(?i)\b\d{1,4}\+?\s+(?:\p{L}+\s+)?(?:compan(?:y|ies)|firms|contractors|businesses|pros|professionals|` +
		`providers|listings|tradesmen|artisans|entreprises|betriebe|firmen|anbieter|treffer|empresas|profesionales|` +
		`aziende|imprese|bedrijven)\b`)

// filedFirms returns the folders of an address that is one of a directory's: a service and a place stand as
// folders of it, and the name of its site holds neither (rule 6.1). Empty for none.
func filedFirms(e Entry, ev Evidence) string {
	u, err := url.Parse(e.URL)
	if err != nil || ev.NamesService == nil || ev.NamesPlace == nil {
		return ""
	}
	words := func(s string) string { return strings.NewReplacer("-", " ", "_", " ", ".", " ").Replace(s) }
	folders := strings.Split(strings.Trim(u.Path, "/"), "/")
	host := words(u.Hostname())
	if len(folders) < 2 || ev.NamesService(host) || ev.NamesPlace(host) {
		return ""
	}
	filed, placed := false, false
	for _, f := range folders {
		if ev.NamesPlace(words(f)) {
			placed = true
		} else if ev.NamesService(words(f)) {
			filed = true
		}
	}
	if !filed || !placed {
		return ""
	}
	return "/" + strings.Join(folders, "/")
}

// directory returns why an entry is a directory; without a code it is none.
func directory(e Entry, ev Evidence) Reason {
	if ev.Read != nil {
		if n := len(ev.Read.Details().Phones); n >= directoryListings {
			return Reason{Code: ManyListings, Number: n}
		}
	}
	if ev.Read == nil && e.Part == Organic {
		if quote := rankedFirms.FindString(e.Name); quote != "" {
			return Reason{Code: ListTitle, Quote: quote}
		}
		if folders := filedFirms(e, ev); folders != "" {
			return Reason{Code: FiledByPlace, Quote: folders}
		}
	}
	if ev.Trades >= directoryTrades {
		return Reason{Code: ManyTrades, Number: ev.Trades}
	}
	return Reason{}
}

// SameNumber reports whether two telephone numbers are one, whatever way they are written.
func SameNumber(a, b string) bool {
	const local = 7
	a, b = digits(a), digits(b)
	n := min(len(a), len(b), 10)
	return n >= local && a[len(a)-n:] == b[len(b)-n:]
}

func digits(s string) string {
	return strings.Map(func(r rune) rune {
		if r < '0' || r > '9' {
			return -1
		}
		return r
	}, s)
}

// States counts the states that a page links to pages of: those whose address has a state
// as a folder with more behind it, and links that name a town with its state.
func States(p *page.Page) int {
	if p == nil {
		return 0
	}
	seen := map[string]bool{}
	for _, l := range p.LinkList() {
		if l.Away {
			continue
		}
		if m := townInState.FindStringSubmatch(l.Text); m != nil {
			seen[strings.ToLower(m[1])] = true
		}
		u, err := url.Parse(l.Address)
		if err != nil {
			continue
		}
		parts := strings.Split(strings.Trim(u.Path, "/"), "/")
		for _, folder := range parts[:len(parts)-1] {
			if short, ok := stateOf(folder); ok {
				seen[short] = true
			}
		}
	}
	return len(seen)
}

var townInState = regexp.MustCompile(`^\p{Lu}[\p{L}'’. -]+, ([A-Z]{2})$`)

// stateOf reads a folder of an address as a state: me, maine, new-hampshire.
func stateOf(folder string) (string, bool) {
	for _, r := range place.Regions(strings.ReplaceAll(folder, "-", " ")) {
		if len(r.Short) > 0 {
			return strings.ToLower(r.Short[0]), true
		}
	}
	return "", false
}

var (
	cart = regexp.MustCompile(
		`(?i)^(?:add to (?:cart|basket|bag)|(?:shopping |view )?(?:cart|basket)(?: \(\d+\))?|in den warenkorb|warenkorb|ajouter au panier|panier|añadir al carrito|carrito)$`)
	prices = regexp.MustCompile(`[$€£]\s?\d|\d\s?[€£]`)
	trade  = regexp.MustCompile(`(?i)\b(?:wholesale|trade customers|grossiste|großhandel|mayorista)\b`)
)

// sells returns what says that a page sells goods, empty for nothing: a cart with prices, or
// wholesale.
func sells(p *page.Page) string {
	if p == nil {
		return ""
	}
	carts, priced, says := 0, 0, ""
	for i := range p.Blocks {
		if p.Blocks[i].Hidden {
			continue
		}
		block := text.Collapse(p.Text(i))
		if cart.MatchString(block) {
			carts++
			says = block
		}
		priced += len(prices.FindAllStringIndex(block, -1))
	}
	for _, l := range p.LinkList() {
		switch {
		case cart.MatchString(text.Collapse(l.Text)):
			carts++
			says = text.Collapse(l.Text)
		case trade.MatchString(l.Text):
			return text.Collapse(l.Text)
		}
	}
	if carts > 0 && priced >= goodsPrices {
		return says
	}
	return trade.FindString(p.Title + " " + p.Description)
}
