package wording

import (
	"fmt"
	"strings"

	"inktally/core/imagename"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/table"
)

// Intent words why a phrase has its intent (rule 3.6).
func Intent(r intent.Reason) string {
	w := append(append([]string{}, r.Words...), "", "")
	switch r.Code {
	case intent.NamesFirm:
		return quoted(w[0]) + " is in a business name"
	case intent.OtherState:
		return quoted(w[0]) + " is another state"
	case intent.OtherPlace:
		return quoted(w[0]) + " is not served"
	case intent.AsksQuestion:
		if w[0] == "?" {
			return "a question"
		}
		return quoted(w[0]) + " asks a question"
	case intent.Compares:
		return "compares: “best … for”"
	case intent.WantsToKnow:
		return quoted(w[0]) + ": wants to know, not to hire"
	case intent.ServiceIn, intent.ServiceNear, intent.ServiceToHire:
		return w[0] + " + " + w[1]
	case intent.Goods:
		return quoted(w[0]) + ": goods, jobs or the like"
	case intent.NoService:
		return "names no service"
	case intent.ServiceAlone:
		return "a service alone: no place, no word of hiring"
	}
	return ""
}

// Entry words why a lineup entry is what it is, or is no rival.
func Entry(r lineup.Reason) string {
	switch r.Code {
	case lineup.IsClient:
		return "the client"
	case lineup.ListTitle:
		return "its title says " + quoted(r.Quote)
	case lineup.ManyListings:
		return "lists " + Count(r.Number, "business", "businesses")
	case lineup.IsPaid:
		return "paid"
	case lineup.IsSponsored:
		return "sponsored"
	case lineup.HasNoSite:
		return "has no site"
	case lineup.TakenAlready:
		return "the same business as a rival above"
	case lineup.BeyondPack:
		return fmt.Sprintf("beyond the first %d of the map pack", r.Number)
	case lineup.BeyondMost:
		return fmt.Sprintf("beyond the first %s", Count(r.Number, "rival", ""))
	case lineup.DismissedByHand:
		return "dismissed by you"
	}
	return ""
}

// Refusal words why a row of a list was not imported.
func Refusal(r table.Refusal) string {
	switch r {
	case table.NoPhrase:
		return "there is no phrase in the row"
	case table.NoWord:
		return "it holds no word"
	case table.ManyWords:
		return fmt.Sprintf("it has more than %d words", table.MaxWords)
	case table.ManyLetters:
		return fmt.Sprintf("it is longer than %d characters", table.MaxLetters)
	case table.IsAddress:
		return "it is an address, not a phrase"
	case table.IsNumber:
		return "it is a number, not a phrase"
	}
	return ""
}

// Warning words what is to be known of a reading.
func Warning(w page.Warning) string {
	switch w {
	case page.DrawnByScript:
		return "a script builds this page: its text may only be there in a browser"
	case page.NoText:
		return "the page holds no text"
	case page.TooDeep:
		return "the page is nested too deeply to be read"
	case page.NotHTML:
		return "this is not a web page"
	case page.SheetMissing:
		return "a style sheet could not be read: hidden text may have been counted"
	}
	return ""
}

// Flaw words what the owner of a page should hear; vague are the page's vague
// words.
func Flaw(f page.Flaw, vague []string) string {
	switch f {
	case page.UnderConstruction:
		return "under construction"
	case page.NoIndex:
		return "kept out of search engines"
	case page.PlaceholderText:
		return "placeholder text"
	case page.NotSecure:
		return "not secure"
	case page.PhoneNoLink:
		return "phone is not a link"
	case page.NoPhone:
		return "no phone number"
	case page.NoDescription:
		return "no meta description"
	case page.VagueWords:
		if len(vague) > 0 {
			return quoted(vague[0])
		}
		return "vague area words"
	case page.OtherLanguage:
		return "text in another language"
	case page.WordsInImages:
		return "words in images"
	}
	return ""
}

// Verdict words what an image file name is worth (rule 4.2).
func Verdict(v imagename.Verdict) string {
	switch v {
	case imagename.WrongPlace:
		return "names another place"
	case imagename.Carries:
		return "holds a phrase"
	case imagename.Near:
		return "only service or place"
	case imagename.Camera:
		return "camera name"
	case imagename.Machine:
		return "generated name"
	case imagename.Counter:
		return "numbered name"
	case imagename.Plain:
		return "other words"
	case imagename.NoName:
		return "no file name"
	}
	return ""
}

// Standing words where a rival stood in the search: map 1, organic 3.
func Standing(part lineup.Part, position int) string {
	if part == lineup.Typed {
		return "added by hand"
	}
	return fmt.Sprintf("%s %d", part, position)
}

// Slot words a slot as a code of the API has it.
func Slot(code string) string { return strings.ReplaceAll(code, "_", " ") }
