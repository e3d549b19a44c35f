package wording

import (
	"regexp"
	"strings"

	"inktally/core/fault"
)

// faults are the sentences of all codes: what happened, and what to do. A
// parameter stands in braces; {n:file|files} chooses by the parameter n, {text?}
// quotes it or says that it is nothing, {thing} names what two changed, and {inner}
// is the sentence of the fault inside.
var faults = map[fault.Code]string{
	fault.AddressMissing: "An address is missing. Type one like shop.example.",
	fault.AddressSpace:   "“{address}” holds a space. Type an address like shop.example.",
	fault.AddressScheme:  "An address that begins with {scheme}: cannot be read. Only http and https can.",
	fault.AddressNoSite:  "“{address}” names no site. Type an address like shop.example.",
	fault.AddressBad:     "“{address}” is not an address. Type one like shop.example.",
	fault.AddressNoDot:   "“{name}” is not the address of a site: it has no dot. Type one like shop.example.",

	fault.RedirectCircle: "{host} redirects in a circle. Open the page in your browser and paste it instead.",
	fault.RedirectScheme: "{host} redirects to an address that begins with {scheme}: and cannot be read. Paste the " +
		"page instead.",
	fault.SiteAnswered:   "{host} answered {status} ({says}). Try again later, or paste the page.",
	fault.NotAPage:       "{host} sent {type}, which is not a web page. Check the address.",
	fault.PageTooLarge:   "The page is larger than {mb} MB and was not read.",
	fault.PageCutShort:   "{host} sent only part of the page, or a damaged one. Try again.",
	fault.HeadersEndless: "{host} sent endless headers and was not read. Paste the page instead.",
	fault.PrivateAddress: "{host} was not read: {address} is on this machine or a private network.",
	fault.NoSuchSite:     "No site was found under the name {host}. Check the address.",
	fault.TimedOut:       "{host} did not answer in time. Try again later, or paste the page.",
	fault.Untrusted: "The certificate of {host} is expired, or made for another site. Open the page in your " +
		"browser and paste it here.",
	fault.NoConnection:   "No connection to {host} could be made. Try again later, or paste the page.",
	fault.NotRead:        "{host} could not be read. Try again later, or paste the page.",
	fault.UnknownPacking: "{host} packs its pages as {packing}, which cannot be unpacked here. Paste the page instead.",
	fault.RobotsRefuse: "{host} asks programs not to read this page (robots.txt). You can read it anyway, or paste " +
		"it.",
	fault.NotReadBefore: "This page could not be read last time. Try again.",

	fault.NoBrowser:       "There is no browser to render pages. Install Chromium, or name one with --browser-url.",
	fault.BrowserNotStart: "The browser did not start. Read the page as served, or try again.",
	fault.BrowserNotClosed: "This browser would let a page reach other machines past the program, so no page is " +
		"rendered in it. Use Chromium of this machine.",
	fault.BrowserLost:     "The browser was lost while it rendered the page. Try again.",
	fault.RenderTimedOut:  "{host} was not rendered in time. Try again, or read the page as served.",
	fault.RenderFailed:    "{host} could not be rendered. Read the page as served, or paste it.",
	fault.RenderMemory:    "{host} takes more memory to render than it may. Read the page as served, or paste it.",
	fault.RenderTooLarge:  "The page grows too large when it is rendered. Read it as served, or paste it.",
	fault.TakenAsServed:   "Read as served. {inner}",
	fault.PageNotReadYet:  "This page has not been read yet. Measure it first.",
	fault.PageKeptNowhere: "The page has not changed, but its last reading is lost. Read it again.",

	fault.FileUnreadable:    "{file} cannot be read. Check that it is there and that you may read it.",
	fault.FileIsFolder:      "{file} is a folder. Name a file in it.",
	fault.FileEmpty:         "{file} is empty. Save the page again.",
	fault.FileNotAPage:      "{file} is not a web page.",
	fault.FolderWithoutPage: "The folder {folder} holds no saved page.",
	fault.NoFile:            "No file was added. Choose a saved page or a web archive.",
	fault.TooManyFiles:      "More than {most} files were added at once. Add fewer.",
	fault.FilesTooLarge:     "The files are larger than {mb} MB together. Add fewer at once.",
	fault.NoResults: "No entries of a search were found. Copy the whole page of results, or save it in your " +
		"browser.",
	fault.ResultsTooLarge:   "The page of results is larger than {mb} MB. Copy its text instead.",
	fault.NoPageInFiles:     "No page was found among the files. Add an HTML file, a text, or a web archive.",
	fault.FileOfNobody:      "This is not a page of this client or its rivals. Add its address first.",
	fault.FileWithoutURL:    "This file does not tell its address. Add it by itself, on the page that it is.",
	fault.NothingPasted:     "Nothing was pasted. Copy the page’s HTML or text and paste it here.",
	fault.PastedTooLarge:    "What was pasted is larger than {mb} MB. Save the page and add the file instead.",
	fault.ArchiveUnreadable: "This web archive cannot be read. Save the page again.",
	fault.ArchiveEmpty:      "This web archive holds no page.",
	fault.ArchiveTooMany:    "This web archive has more than {most} parts. Save the page by itself.",
	fault.ArchiveDamaged: "This web archive is damaged; what stands before the damage " +
		"was used. Save the page again.",
	fault.ArchiveRecords:  "{broken} of the records of this web archive cannot be read; the others were used.",
	fault.ArchiveTooLarge: "This web archive unpacks to more than {mb} MB. Save the page by itself.",

	fault.ListTooLarge:       "The list is larger than {mb} MB. Split it and import the parts.",
	fault.ListEmpty:          "The list is empty. Import one with a phrase in each row.",
	fault.ListNotText:        "This is not a list. Import CSV, TSV or XLSX.",
	fault.ListNotOne:         "Import one list at a time.",
	fault.WorkbookUnreadable: "This workbook cannot be read. Save it again as XLSX or CSV.",
	fault.WorkbookEmpty:      "The workbook is empty. Import one with a phrase in each row.",
	fault.NoPhraseColumn:     "No column holds phrases. Choose the one that does.",
	fault.ColumnsUnreadable:  "What the columns hold could not be understood. Choose the list again.",
	fault.ImportNotLast:      "Later lists may have changed the same phrases. Undo the last one first: {name}.",

	fault.NoDemandSource:   "No source of search volumes is set up. Start with --demand-url, or import a list.",
	fault.NoSearchSource:   "No search source is set up. Paste the addresses of the rivals instead.",
	fault.SourceBadAddress: "The address of the {source} source cannot be used. Check it where the program is started.",
	fault.SourceSilent:     "The {source} source did not answer. Try again later.",
	fault.SourceAnswered:   "The {source} source answered {status}. Try again later.",
	fault.SourceUnreadable: "The {source} source sent an answer that cannot be read. Try again later.",
	fault.SearchUnknown:    "The search source has no result for “{phrase}”. Paste the rivals’ addresses instead.",

	fault.PhraseNoWord:     "The phrase “{text}” holds no word. Type one like chimney sweep tarn harbor.",
	fault.ServiceNoWord:    "The service “{text}” holds no word. Type one like chimney sweep.",
	fault.SpellingNoWord:   "The spelling “{text}” holds no word.",
	fault.PlaceNoWord:      "The place “{text}” holds no word. Type one like Tarn Harbor, ME.",
	fault.TextTooLong:      "An entry is longer than {most} characters. Shorten it.",
	fault.JobNegative:      "A job of “{service}” cannot be worth less than nothing.",
	fault.ClientNeedsName:  "A client needs a name or an address.",
	fault.LanguageUnknown:  "“{language}” is not a language. Type a tag like en or pt-BR.",
	fault.PhraseNeeded:     "A phrase is missing. Type what people search for.",
	fault.NotOneWord:       "“{text}” is not one word.",
	fault.PageThere:        "This page is in the list already.",
	fault.OneHomePage:      "A client has one home page. Choose what else this page is for.",
	fault.HomePageStays:    "The home page stays. You can clear its address.",
	fault.NoSuchService:    "“{service}” is not one of the services. Add it first.",
	fault.NoSuchPlace:      "“{place}” is not one of the places. Add it first.",
	fault.PageNeedsService: "Choose the service that the page is for.",
	fault.PageNeedsPlace:   "Choose the place that the page is for.",
	fault.PageNeedsAddress: "Give the page an address, or choose what it is for.",
	fault.EntryWithoutSite: "{name} has no site that is known.",
	fault.NotOurBookmark:   "This page was not handed over by your bookmark. Nothing was kept.",
	fault.OtherOrigin:      "The page says that it is from {says}, but it came from {from}. Nothing was kept.",
	fault.NoFigures: "No figures were found. Paste a table with a heading for each column and a site for " +
		"each row.",
	fault.DayBad:            "“{typed}” is no day. Type it as 2026-11-26, not later than today.",
	fault.EntryNoName:       "An entry needs a name or an address.",
	fault.KindOfClient:      "The client is told by its address or phone. Change those on the Ground.",
	fault.SomeRivalsAdded:   "{inner} {added} other {added:rival was|rivals were} added.",
	fault.ChangeNeedsValue:  "Type what the target should say instead.",
	fault.HoursOutOfRange:   "Hours are a number from 0 to {most}.",
	fault.RunUnderWay:       "Pages are being read already. Wait, or stop the run.",
	fault.NothingToRead:     "There is no page to read. Add the client’s address or use a rival.",
	fault.NoSuchFigure:      "The yardstick has no figure “{figure}”.",
	fault.FigureOutOfRange:  "{figure} goes from {least} to {most}.",
	fault.GuidelineBackward: "The guideline for a {page} page must rise: low, high, ceiling.",
	fault.ImageNameBad:      "“{name}” is no image name. Use letters, digits and hyphens, like {like}.",
	fault.DraftEmpty:        "The draft is empty.",
	fault.DraftTooLarge:     "The draft is larger than {mb} MB, or unfolds to more. Hand in one page at a time.",
	fault.DraftUnreadable:   "That file is no draft that can be read. Use text, Markdown, HTML or DOCX.",
	fault.DraftNoPage:       "No page of the client is “{page}”. Name one by its address, or as home.",
	fault.TargetNeedsText:   "Write what is to be done.",
	fault.WeightsNotHundred: "The weights add up to {sum}, not 100.",
	fault.SharesNotHundred:  "The shares of the sections add up to {sum}, not 100.",
	fault.FrameNeedsPhrase:  "Each sentence must have the place of its phrase once, and be short: “{line}”.",
	fault.YardstickNotYAML:  "That is no yardstick. It must be YAML: one figure a line, each with its value.",
	fault.YardstickTooLarge: "That file is larger than {kb} KB.",
	fault.RatesBackward:     "The least rate of a phrase is above its most.",

	fault.NotThere:       "This was removed elsewhere. Reload to see what is there.",
	fault.GivenUp:        "The request was canceled.",
	fault.OwnMistake:     "Something went wrong in the program; its log says more. Try again.",
	fault.WrongHost:      "This program answers only under its own address.",
	fault.OtherSite:      "Other sites cannot change anything here.",
	fault.NoMethod:       "This cannot be done here.",
	fault.NoAddress:      "There is nothing at this address.",
	fault.BadEntry:       "“{field}” could not be understood. Reload the page and try again.",
	fault.EntryTooLong:   "“{field}” is longer than {most} characters. Shorten it.",
	fault.EntryTooMany:   "“{field}” has more than {most} entries. Use fewer.",
	fault.NumberTooLarge: "“{field}” goes up to {most}. Use a smaller number.",
	fault.NumberTooSmall: "“{field}” starts at {least}. Use a larger number.",
	fault.PortTaken: "{address} cannot be listened on. Is the program running already? Choose another port " +
		"with --listen.",
	fault.DataFileInUse: "The data file {file} is open in another Ink Tally. End that one first, or name " +
		"another file with --data.",
	fault.DataFileNewer: "The data file {file} was written by a newer Ink Tally. Open it with that one; nothing " +
		"was changed.",
	fault.NotSignedIn: "You are not signed in. Open /sign-in and enter the token that was printed at the " +
		"first start.",
	fault.BodyTooLarge:       "That is more than fits here. Send less at once.",
	fault.KeptPageUnreadable: "The kept page cannot be read any more. Read it again.",
	fault.BackupUnreadable:   "{file} is no backup that can be restored. Take another one; nothing was changed.",
	fault.BackupOverItself:   "{file} is the data file itself. Name another file.",
	fault.BackupFailed: "A copy of {file} could not be written to {copy}. Check that there is room and that " +
		"you may write there.",
	fault.DataFileDamaged: "The data file {file} is damaged. Restore a backup: inktally restore FILE.",
	fault.PagesDamaged: "Kept pages that cannot be read: {pages}. Measure their clients again, or restore a " +
		"backup.",
	fault.ChangedElsewhere: "The {thing} changed elsewhere to {theirs?}; you entered {yours?}. Save again to keep " +
		"yours.",
	fault.DiskFull: "The disk is full: nothing was kept. Delete a client or free some room elsewhere, then " +
		"try again.",
	fault.NoRoomForCopy: "The data file {file} is of an older Ink Tally, and the copy {copy} cannot be written. " +
		"Make room for it, then start again; nothing was changed.",
	fault.BadDataFile: "The data file {file} cannot be used. Check that it is there and that you may write to " +
		"it.",
}

// Fault words a fault.
func Fault(f *fault.Fault) string {
	if f == nil {
		return ""
	}
	return strings.TrimSpace(places.ReplaceAllStringFunc(faults[f.Code], func(place string) string {
		name, forms, counted := strings.Cut(strings.Trim(place, "{}"), ":")
		one, many, _ := strings.Cut(forms, "|")
		name, said := strings.CutSuffix(name, "?")
		switch value := f.Params[name]; {
		case name == "inner":
			return Fault(f.Inner)
		case name == "thing":
			return thing(value)
		case said && value == "":
			return "nothing"
		case said:
			return quoted(value)
		case !counted:
			return value
		case value == "1":
			return one
		default:
			return many
		}
	}))
}

// places are those of parameters in a sentence.
var places = regexp.MustCompile(`\{[^}]*\}`)
