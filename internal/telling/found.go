package telling

import (
	"fmt"
	"strconv"
	"strings"

	"inktally/core/handoff"
	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/internal/wording"
)

func (t Teller) search() Says {
	r := t.Search
	s := Says{Head: stand(r)}
	from := ""
	if r.Place != "" {
		from = " from " + r.Place
	}
	s.Points = append(s.Points, fmt.Sprintf("This is the search for “%s”%s, as it stood, from the top.", r.Phrase,
		from))
	if r.Ads > 0 {
		s.Points = append(s.Points, fmt.Sprintf("%s paid for. They are gone when the money stops, so we leave them "+
			"out.",
			is(r.Ads, "result is", "results are")))
	}
	if names := namesOf(r.Map, 3); len(names) > 0 {
		says := "On the map: " + And(names) + "."
		if r.Own.Map == 0 {
			says += " You are not on it."
		}
		s.Points = append(s.Points, says)
	}
	if names := namesOf(r.Organic, 3); len(names) > 0 {
		s.Points = append(s.Points, "Below that are the results that nobody can buy. First "+strings.Join(names,
			", then ")+".")
	}
	switch len(r.Free) {
	case 0:
	case 1:
		s.Points = append(s.Points, fmt.Sprintf("Position %d is held by no actual business, but by a list or a "+
			"directory. A firm that does the work can have that place.", r.Free[0]))
	default:
		var at []string
		for _, f := range r.Free {
			at = append(at, strconv.Itoa(f))
		}
		s.Points = append(s.Points, fmt.Sprintf("Positions %s are held by no actual business, but by lists and "+
			"directories. A firm that does the work can have these places.", And(at)))
	}
	return s
}

func is(count int, one, many string) string { return wording.Count(count, one, many) }

// stand words where the client stands.
func stand(r *handoff.SearchTold) string {
	switch {
	case r.Own.Organic > 0 && r.Own.Map > 0:
		return fmt.Sprintf("In this search you come up %s, and %s on the map.",
			ordinal(r.Own.Organic), ordinal(r.Own.Map))
	case r.Own.Organic > 0:
		return fmt.Sprintf("In this search you come up %s.", ordinal(r.Own.Organic))
	case r.Own.Map > 0:
		return fmt.Sprintf("In this search you come up %s on the map, and nowhere below it.",
			ordinal(r.Own.Map))
	case r.Looked > 0:
		return fmt.Sprintf("In this search you are not among the first %d.", r.Looked)
	}
	return "In this search you are not to be found."
}

func ordinal(i int) string {
	if i >= 1 && i <= 3 {
		return []string{"first", "second", "third"}[i-1]
	}
	end := "th"
	if i%100 < 11 || i%100 > 13 {
		end = map[int]string{1: "st", 2: "nd", 3: "rd"}[i%10]
		if end == "" {
			end = "th"
		}
	}
	return strconv.Itoa(i) + end
}

// noFirm is what an entry is called that is no actual business.
var noFirm = map[lineup.Kind]string{lineup.Directory: "the directory", lineup.ListArticle: "the list of firms",
	lineup.Supplier: "the supplier", lineup.OtherTrade: "a firm of another trade,"}

// namesOf are the names at the first positions of a list, what is no business told as such.
func namesOf(list []handoff.Result, most int) (out []string) {
	for _, r := range list {
		if r.Position > most {
			continue
		}
		name := r.Name
		if r.Own {
			name = "you"
		} else if is := noFirm[r.Kind]; is != "" {
			name = is + " " + name
		}
		out = append(out, name)
	}
	return out
}

func (t Teller) rival() Says {
	r := t.Rival
	at := "before you"
	switch {
	case r.Organic > 0:
		at = ordinal(r.Organic)
	case r.Map > 0:
		at = ordinal(r.Map) + " on the map"
	}
	s := Says{Head: fmt.Sprintf("%s comes up %s.\nHere is why.", r.Name, at)}
	if r.Reason.Fewer {
		s.Points = append(s.Points, "It is not the words: its page has fewer than yours.")
	}
	for _, l := range r.Reason.Leads[:min(len(r.Reason.Leads), 3)] {
		s.Points = append(s.Points, t.ahead(l))
	}
	if len(r.Reason.Leads) == 0 {
		s.Points = append(s.Points, "Nothing that I measured explains it. That happens: some sites are simply older, "+
			"or better known.")
	} else {
		s.Points = append(s.Points, "Each of these can be counted on their page and on yours, and each can be caught "+
			"up with.")
	}
	return s
}

// ahead words a front in which a rival is ahead; what another step tells is only named.
func (t Teller) ahead(s ladder.Step) string {
	own, theirs := none(int(s.Own)), wording.Number(int(s.Theirs))
	switch s.Front {
	case ladder.Words:
		if t.tells(handoff.WordsStep) {
			return "It has more to say, as you saw."
		}
		return fmt.Sprintf("Its page has %s words, yours has %s.", theirs, own)
	case ladder.Slots:
		in := theirs + " of the " + strconv.Itoa(t.Rival.Places)
		if int(s.Theirs) == t.Rival.Places {
			in = "all " + theirs
		}
		return fmt.Sprintf("It has the words that people search for in %s places that count. Yours has them in %s.",
			in, own)
	case ladder.Images:
		if s.Theirs == 1 {
			return "One of its pictures is named for what it shows. Of yours: " + own + "."
		}
		return fmt.Sprintf("The names of %s of its pictures say what they show. Of yours: %s.", theirs, own)
	case ladder.Pages:
		if t.tells(handoff.PagesStep) {
			return "It has more pages, one for each thing that it does. I will come to that."
		}
		return fmt.Sprintf("It has %s pages for services and towns, you have %s.", theirs, own)
	case ladder.Links:
		if t.tells(handoff.LinksStep) {
			return "More websites lead to it. I will come to that."
		}
		return fmt.Sprintf("%s websites lead to it, %s to yours.", theirs, own)
	case ladder.Listings, ladder.Reviews:
		if t.tells(handoff.Listed) {
			return "It is better known in directories and reviews. I will come to that."
		}
		return fmt.Sprintf("It has %s %s, you have %s.", theirs, map[ladder.Front]string{ladder.Listings: "directory " +
			"entries",
			ladder.Reviews: "reviews"}[s.Front], own)
	}
	return ""
}

func (t Teller) pages() Says {
	p := t.Pages
	s := Says{Head: "Each of your services needs a page of its own."}
	if p.Best != nil && p.Best.Figure > p.Own {
		s.Head = fmt.Sprintf("%s has %s for its services and towns.\nYou have %s.", p.Best.Name,
			wording.Count(p.Best.Figure, "page", ""), none(p.Own))
	}
	s.Points = []string{"A search engine shows pages, not firms. Where one page speaks of everything, none of it can " +
		"be found by itself.",
		"Somebody with one certain problem wants a page about that problem, with your phone number on it."}
	switch first := p.Make[:min(len(p.Make), 3)]; {
	case len(p.Make) > len(first):
		s.Points = append(s.Points, fmt.Sprintf("We will make %s, those first that bring most: %s.",
			wording.Count(len(p.Make), "page", ""), And(first)))
	case len(first) == 1:
		s.Points = append(s.Points, "We will make it: "+first[0]+".")
	default:
		s.Points = append(s.Points, "We will make them: "+And(first)+".")
	}
	s.Points = append(s.Points, "Such a page does not have to be long, and your home page leads to it.")
	return s
}

func (t Teller) listed() Says {
	var s Says
	if r := t.Reviews; r != nil && r.Own < r.Best.Figure {
		s.Head = fmt.Sprintf("You have %s.\n%s has %s.", reviews(r.Own), r.Best.Name, wording.Number(r.Best.Figure))
		s.Points = append(s.Points, "Reviews stand on the map, not on your page, so no page can make up for them.",
			"Ask every customer who was pleased, on the day that the work is done. Never pay for one.")
	}
	if l := t.Listings; l != nil && l.Own < l.Best.Figure {
		says := fmt.Sprintf("You are in %s.\n%s is in %s.", directories(l.Own), l.Best.Name,
			wording.Number(l.Best.Figure))
		if s.Head == "" {
			s.Head = says
		} else {
			s.Points = append(s.Points, says)
		}
		s.Points = append(s.Points, "Your name, address and phone number should read the same in each of them.")
	}
	return s
}

func reviews(i int) string {
	if i == 0 {
		return "no reviews"
	}
	return wording.Count(i, "review", "")
}

func directories(i int) string {
	if i == 0 {
		return "no directory"
	}
	return wording.Count(i, "directory", "directories")
}

func (t Teller) links() Says {
	l := t.Links
	own := wording.Number(l.Own) + " other websites lead to yours."
	switch l.Own {
	case 0:
		own = "No other website leads to yours."
	case 1:
		own = "One other website leads to yours."
	}
	return Says{Head: fmt.Sprintf("%s\nTo %s: %s.", own, l.Best.Name, wording.Number(l.Best.Figure)), Points: []string{
		"A link from another website is a recommendation, and a search engine counts them.",
		"We start with those that are easy to ask: associations, suppliers, the town, neighbors in business."}}
}
