// Package lineup reads the result of a search: what each entry is, which of
// them are the rivals to beat and which high positions no business holds
// (rule 6).
//
// In go entries with what is known of their pages; out come kinds with their
// evidence and the entries that are taken.
package lineup

import (
	"net/url"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"golang.org/x/net/publicsuffix"
)

// Part is a part of a search result.
type Part string

// The parts of a result; Typed are pages that the user added.
const (
	Paid    Part = "paid"
	Map     Part = "map"
	Organic Part = "organic"
	Typed   Part = "typed"
)

// Kind is what an entry is (rule 6.1).
type Kind string

// The kinds that are told apart.
const (
	Client      Kind = "client"
	Directory   Kind = "directory"
	ListArticle Kind = "list_article"
	Chain       Kind = "chain"
	Supplier    Kind = "supplier"
	OtherTrade  Kind = "other_trade"
	Business    Kind = "business"
)

// Kinds returns all of them.
func Kinds() []Kind {
	return []Kind{Client, Directory, ListArticle, Chain, Supplier, OtherTrade, Business}
}

// Parts returns all of them, in the order of a result.
func Parts() []Part { return []Part{Paid, Map, Organic, Typed} }

// Rules are the figures by which rivals are taken (Y).
type Rules struct {
	// Most is how many rivals are taken by themselves, Pack how many places of
	// the map pack count, Organic up to which organic position a firm stands in
	// both parts (rule 6.2).
	Most, Pack, Organic int
}

// StandardRules returns those that everybody starts with.
func StandardRules() Rules { return Rules{Most: 4, Pack: 3, Organic: 10} }

// Entry is one result of a search.
type Entry struct {
	Part      Part
	Position  int
	Sponsored bool
	Name      string
	URL       string
	// Phone is as the result has it, Years for how long it says that the business is in
	// trade; empty and 0 for none.
	Phone string
	Years int
	Kind  Kind
	// Reason is the evidence for the kind, or why an entry is not taken.
	Reason Reason
	Taken  bool
}

// Paying reports whether an entry is paid for: it is no rival (rule 6.2).
func (e Entry) Paying() bool { return e.Part == Paid || e.Sponsored }

// Reason is why an entry is what it is, or why it is not taken: a code, with the
// words of its title or a number if the code has one.
type Reason struct {
	Code   ReasonCode
	Quote  string
	Number int
}

// ReasonCode names a reason.
type ReasonCode string

// The reasons.
const (
	IsClient        ReasonCode = "is_client"
	ListTitle       ReasonCode = "list_title"     // the words of its title
	ManyListings    ReasonCode = "many_listings"  // how many businesses it lists
	FiledByPlace    ReasonCode = "filed_by_place" // the folders of its address
	ManyTrades      ReasonCode = "many_trades"    // in lineups of how many trades its site stands
	ManyStates      ReasonCode = "many_states"    // for how many states its site has pages
	SellsGoods      ReasonCode = "sells_goods"    // what says so
	NoServiceWord   ReasonCode = "no_service_word"
	SamePhone       ReasonCode = "same_phone"
	SaidByHand      ReasonCode = "said_by_hand" // for which client, empty for this one
	IsPaid          ReasonCode = "is_paid"
	IsSponsored     ReasonCode = "is_sponsored"
	HasNoSite       ReasonCode = "has_no_site"
	TakenAlready    ReasonCode = "taken_already" // as another entry of the same firm
	BeyondPack      ReasonCode = "beyond_pack"   // how many places count
	BeyondMost      ReasonCode = "beyond_most"   // how many are taken
	DismissedByHand ReasonCode = "dismissed_by_hand"
	TakenByHand     ReasonCode = "taken_by_hand"
)

// ReasonCodes returns all of them.
func ReasonCodes() []ReasonCode {
	return []ReasonCode{IsClient, ListTitle, ManyListings, FiledByPlace, ManyTrades, ManyStates, SellsGoods,
		NoServiceWord, SamePhone,
		SaidByHand, IsPaid, IsSponsored, HasNoSite, TakenAlready, BeyondPack, BeyondMost, DismissedByHand, TakenByHand}
}

// Domain returns the registrable domain of an address, the host if it has
// none, empty for what is no address.
func Domain(address string) string {
	u, err := url.Parse(address)
	if err != nil || u.Hostname() == "" {
		return ""
	}
	host := strings.TrimPrefix(strings.ToLower(u.Hostname()), "www.")
	if domain, err := publicsuffix.EffectiveTLDPlusOne(host); err == nil {
		return domain
	}
	return host
}

// best are the words by which a list of firms praises itself, in the languages that
// are read.
const best = `(?:best|top|meilleure?s?|besten?|mejores|migliori|melhores|beste)`

var listTitle = regexp.MustCompile(`(?i)(?:^|[^\p{L}\d])(` + best + `\s+(\d{1,3})|(\d{1,3})\s+` + best +
	`)(?:$|[^\p{L}\d])`)

// mayList reports whether a title has a number and the beginning of such a word: most have none, and a list of links
// has many titles.
func mayList(title string) bool {
	if !strings.ContainsAny(title, "0123456789") {
		return false
	}
	lowered := strings.ToLower(title)
	words := []string{"best", "top", "meilleur", "mejor", "miglior", "melhor"}
	return slices.ContainsFunc(words, func(w string) bool { return strings.Contains(lowered, w) })
}

// listed returns where a title counts what it lists, empty for none: a list has some of
// them, and round the clock is no number of firms.
func listed(title string) string {
	if !mayList(title) {
		return ""
	}
	m := listTitle.FindStringSubmatch(title)
	if m == nil {
		return ""
	}
	if n, err := strconv.Atoi(m[2] + m[3]); err != nil || n < 3 || n == 24 {
		return ""
	}
	return m[1]
}

// Stands returns where the client stands in the map and in the organic results, 0 for nowhere.
func Stands(entries []Entry) (inMap, organic int) {
	for _, e := range entries {
		if e.Kind != Client || e.Paying() {
			continue
		}
		switch {
		case e.Part == Map && (inMap == 0 || e.Position < inMap):
			inMap = e.Position
		case e.Part == Organic && (organic == 0 || e.Position < organic):
			organic = e.Position
		}
	}
	return inMap, organic
}
