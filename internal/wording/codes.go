package wording

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"inktally/core/finding"
	"inktally/core/imagename"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/site"
	"inktally/core/table"
)

// intents word why a phrase has its intent: {word} is the first word of a reason, quoted, {first}
// and {second} are its words as they are.
var intents = map[intent.ReasonCode]string{
	intent.NamesFirm:  "{word} is in a business name",
	intent.FirmEnding: "{word} ends a business name",
	intent.MakerAlone: "{word} is a maker, and no work is asked for",
	intent.OtherState: "{word} is another state or county",
	intent.OtherTown:  "{word} is another town", intent.OtherPostcode: "{word} is another postcode",
	intent.OtherPlace: "{word} is not served", intent.AsksQuestion: "{word} asks a question",
	intent.Compares: "compares: “best … for”", intent.WantsToKnow: "{word}: wants to know, not to hire",
	intent.NamesTrouble: "{word}: a problem, not a job",
	intent.ServiceIn:    "{second} + {first}", intent.ServiceNear: "{second} + {first}",
	intent.ServiceToHire: "{second} + {first}", intent.UnknownWord: "what is {word}?",
	intent.UnknownAlone: "names no place, and {word} is not known",
	intent.Goods:        "{word}: goods, jobs or the like",
	intent.OtherAct:     "{word} is not offered", intent.OtherThing: "{word} is not what we work on",
	intent.NoService: "names no service", intent.ServiceAlone: "a service alone: no place, no word of hiring",
	intent.PartOfService: "{first}, but not a whole service: {second}",
}

// Intent words why a phrase has its intent (rule 3.6).
func Intent(r intent.Reason) string {
	w := append(slices.Clone(r.Words), "", "")
	if r.Code == intent.AsksQuestion && w[0] == "?" {
		return "a question"
	}
	return strings.NewReplacer("{word}", quoted(w[0]), "{first}", w[0], "{second}", w[1]).Replace(intents[r.Code])
}

// Purpose words why a page has its kind.
func Purpose(p site.Purpose) string {
	named := strings.Join(p.Words, ", ")
	switch p.Reason {
	case site.ByRoot:
		return "the site's first page"
	case site.ByAddress:
		return "the URL says " + quoted(named)
	case site.ByLabel:
		return "the menu calls it " + quoted(named)
	case site.ByService:
		return "names the service " + quoted(named)
	case site.ByPlace:
		return "names the place " + quoted(named)
	case site.ByServiceIn:
		return "names " + strings.Join(p.Words, " in ")
	case site.BySeveral:
		return "names several services: " + named
	case site.ByBody:
		return "by what it holds"
	case site.ByHand:
		return "set by you"
	}
	return "names no service and no place"
}

// Offer words where a service or a place was read.
func Offer(o site.Offer) string {
	switch o.By {
	case site.OfferedByMenu:
		return "the menu says " + quoted(o.From)
	case site.OfferedByHeading:
		return "a heading says " + quoted(o.From)
	}
	return "a page is called " + quoted(o.From)
}

// Like words why a rival's page is the comparable one.
func Like(r site.LikeReason) string {
	switch r {
	case site.LikeHome:
		return "its home page"
	case site.LikeService:
		return "for the same service"
	case site.LikePlace:
		return "for the same place"
	case site.LikeServicePlace:
		return "for the same service in the same place"
	case site.LikeAnyService:
		return "for the same place, another service"
	}
	return ""
}

// Missed words why a page was not read.
func Missed(m site.Missed) string {
	switch {
	case m.Reason == site.Refused:
		return "its site asks programs not to read it"
	case m.Reason == site.LeftOut:
		return "not visited: the survey ended before it"
	case m.Status > 0:
		return fmt.Sprintf("the site answered %d", m.Status)
	}
	return "the site did not answer"
}

// plainFindings are the findings that are said in the same words of every page.
var plainFindings = map[finding.Type]string{
	finding.Orphan:          "no page links to it",
	finding.HTTPBesideHTTPS: "the site answers by http and by https",
	finding.HTTPOnly:        "it answers by http alone: browsers call it not secure",
	finding.NoBusinessData:  "no page has the name, address, phone and hours as structured data",
	finding.DrawnByScript:   "drawn by script: read it as rendered",
}

// Finding words what is wrong with a page or a site.
func Finding(f finding.Finding) string {
	if says, ok := plainFindings[f.Type]; ok {
		return says
	}
	switch f.Type {
	case finding.SecondCopy:
		return "the same text as " + f.Other
	case finding.OnlyPlacesDiffer:
		return "the same text as " + f.Other + " but for the names of places"
	case finding.AllServices:
		return "holds several services: " + strings.Join(f.Services, ", ")
	case finding.ServiceNoPage:
		return quoted(strings.Join(f.Services, ", ")) + " has no page of its own"
	case finding.ThinPage:
		return Count(f.Words, "word", "") + " of copy, fewer than " + Number(f.Least)
	case finding.DeadLink:
		return fmt.Sprintf("linked as %s on %s: %d", quoted(f.Label), f.Other, f.Status)
	case finding.SoftNotFound:
		return fmt.Sprintf("linked as %s on %s: answers, but says that the page is not there", quoted(f.Label), f.Other)
	case finding.SameService:
		return "for " + cmp.Or(strings.Join(f.Services, ", "), f.Place) + ", as " + f.Other + " is"
	case finding.NoHomeLink:
		return "the home page does not link to it by a word of " + quoted(strings.Join(f.Services, ", "))
	case finding.NoTestimonial:
		return shareOf(f.Have, f.Of) + " a testimonial here"
	case finding.NoCallToAct:
		return shareOf(f.Have, f.Of) + " a call to action here: a phone number, a form or a button"
	case finding.DirectoryAhead:
		return fmt.Sprintf("organic %d for %s", f.Position, quoted(f.Text()))
	case finding.PlaceWrong:
		if f.Where == finding.InBody {
			return fmt.Sprintf("%s is named %s in the text", f.Place, Count(f.Times, "time", ""))
		}
		return f.Place + " in the " + whereSays(f.Where) + ": " + quoted(f.Text())
	case finding.VagueAreaWords:
		return quoted(strings.Join(f.Texts, ", ")) + " instead of names"
	case finding.PlaceholderText:
		return "placeholder text: " + quoted(f.Text())
	case finding.PhoneNotLinked:
		return f.Text() + " is not a link"
	}
	return Flaw(f)
}

// Entry words why a lineup entry is what it is, or is no rival.
func Entry(r lineup.Reason) string {
	switch r.Code {
	case lineup.IsClient:
		return "the client"
	case lineup.ListTitle:
		return "its title says " + quoted(r.Quote)
	case lineup.FiledByPlace:
		return "its address files firms by service and place: " + r.Quote
	case lineup.ManyListings:
		return "lists " + Count(r.Number, "business", "businesses")
	case lineup.ManyTrades:
		return "stands in lineups of " + Count(r.Number, "trade", "")
	case lineup.ManyStates:
		return "has pages for " + Count(r.Number, "state", "")
	case lineup.SellsGoods:
		return "sells goods: " + quoted(r.Quote)
	case lineup.NoServiceWord:
		return "its name, title and H1 name none of the services"
	case lineup.SamePhone:
		return "the client's phone number"
	case lineup.SaidByHand:
		if r.Quote != "" {
			return "said by you for " + r.Quote
		}
		return "said by you"
	case lineup.IsPaid:
		return "paid"
	case lineup.IsSponsored:
		return "sponsored"
	case lineup.HasNoSite:
		return "no site known"
	case lineup.TakenAlready:
		return "a rival already"
	case lineup.BeyondPack:
		return fmt.Sprintf("beyond the first %d of the map pack", r.Number)
	case lineup.BeyondMost:
		return fmt.Sprintf("beyond the first %s", Count(r.Number, "rival", ""))
	case lineup.DismissedByHand:
		return "dismissed by you"
	case lineup.TakenByHand:
		return "used by you"
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
	case page.TooMuch:
		return "too much on one page: only a part of it was read"
	case page.TooDeep:
		return "the page is nested too deeply to be read"
	case page.NotHTML:
		return "this is not a web page"
	case page.SheetMissing:
		return "a style sheet could not be read: hidden text may have been counted"
	}
	return ""
}

// whereSays words where on a page something stands.
func whereSays(w finding.Where) string {
	switch w {
	case finding.InH1:
		return "H1"
	case finding.InURL:
		return "URL"
	case finding.InImage:
		return "image file name"
	case finding.InAlt:
		return "alt text"
	}
	return string(w)
}

// Flaw words what the owner of a page should hear of it, in a few words.
func Flaw(f finding.Finding) string {
	switch f.Type {
	case finding.UnderConstruction:
		return "under construction"
	case finding.NoIndex:
		return "kept out of search engines"
	case finding.PlaceholderText:
		return "placeholder text"
	case finding.NotSecure:
		return "not secure"
	case finding.PhoneNotLinked:
		return "phone is not a link"
	case finding.NoPhone:
		return "no phone number"
	case finding.NoDescription:
		return "no meta description"
	case finding.VagueAreaWords:
		if f.Text() != "" {
			return quoted(f.Text())
		}
		return "vague area words"
	case finding.OtherLanguage:
		return "text in another language"
	case finding.WordsInImages:
		return "words in images"
	}
	return ""
}

// Verdict words what an image file name is worth (rule 4.2).
func Verdict(v imagename.Verdict, name string) string {
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
		if strings.ContainsAny(name, "0123456789") {
			return "numbered name"
		}
		return "generic name"
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
