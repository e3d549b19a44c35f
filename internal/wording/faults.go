package wording

import (
	"inktally/internal/wording/yardsticks"
	"maps"
	"regexp"
	"slices"
	"strings"

	"inktally/core/fault"
)

// faults are the sentences of all codes: what happened, and what to do. A
// parameter stands in braces; {n:file|files} chooses by the parameter n, {text?}
// quotes it or says that it is nothing, {thing} names what two changed, and {inner}
// is the sentence of the fault inside.
var faults = map[fault.Code]string{
	"address_missing": "An address is missing. Type one like shop.example.",
	"address_space":   "“{address}” holds a space. Type an address like shop.example.",
	"address_scheme":  "An address that begins with {scheme}: cannot be read. Only http and https can.",
	"address_no_site": "“{address}” names no site. Type an address like shop.example.",
	"address_bad":     "“{address}” is not an address. Type one like shop.example.",
	"address_no_dot":  "“{name}” is not the address of a site: it has no dot. Type one like shop.example.",

	"redirect_circle": "{host} redirects in a circle. Open the page in your browser and paste it instead.",
	"redirect_scheme": "{host} redirects to an address that begins with {scheme}: and cannot be read. Paste the " +
		"page instead.",
	"site_too_large":  "The survey ended after {megabytes} MB of pages. Those that it did not read are listed.",
	"site_answered":   "{host} answered {status} ({says}). Try again later, or paste the page.",
	"not_a_page":      "{host} sent {type}, which is not a web page. Check the address.",
	"page_too_large":  "The page is larger than {mb} MB and was not read.",
	"page_cut_short":  "{host} sent only part of the page, or a damaged one. Try again.",
	"headers_endless": "{host} sent endless headers and was not read. Paste the page instead.",
	"private_address": "{host} was not read: {address} is on this machine or a private network.",
	"no_such_site":    "No site was found under the name {host}. Check the address.",
	"timed_out":       "{host} did not answer in time. Try again later, or paste the page.",
	"untrusted_certificate": "The certificate of {host} is expired, or made for another site. Open the page in your " +
		"browser and paste it here.",
	"no_connection":   "No connection to {host} could be made. Try again later, or paste the page.",
	"not_read":        "{host} could not be read. Try again later, or paste the page.",
	"unknown_packing": "{host} packs its pages as {packing}, which cannot be unpacked here. Paste the page instead.",
	"robots_refuse":   "{host} asks programs not to read this page (robots.txt). You can read it anyway, or paste it.",
	"not_read_before": "This page could not be read last time. Try again.",

	"no_printer":     "PDF is printed by a browser, and there is none. Install Chromium, or save it as DOCX.",
	"no_format":      "This document is not written as {format}. Choose another format.",
	"picture_bad":    "This file is no PNG or JPEG picture. Choose another one.",
	"picture_large":  "The picture is larger than {kb} kB. Save it smaller and add it again.",
	"too_many_steps": "{most} steps of your own are the most. Remove one first.",

	"no_browser":          "There is no browser to render pages. Install Chromium, or name one with --browser-url.",
	"browser_not_started": "The browser did not start. Read the page as served, or try again.",
	"browser_not_closed": "This browser would let a page reach other machines past the program, so no page is " +
		"rendered in it. Use Chromium of this machine.",
	"browser_lost":     "The browser was lost while it rendered the page. Try again.",
	"render_timed_out": "{host} was not rendered in time. Try again, or read the page as served.",
	"render_failed":    "{host} could not be rendered. Read the page as served, or paste it.",
	"render_memory":    "{host} takes more memory to render than it may. Read the page as served, or paste it.",
	"render_too_large": "The page grows too large when it is rendered. Read it as served, or paste it.",
	"taken_as_served":  "Read as served. {inner}", "file_not_a_page": "{file} is not a web page.",
	"page_not_read_yet": "This page has not been read yet. Measure it first.",
	"page_kept_nowhere": "The page has not changed, but its last reading is lost. Read it again.",

	"file_unreadable":     "{file} cannot be read. Check that it is there and that you may read it.",
	"file_is_folder":      "{file} is a folder. Name a file in it.",
	"file_empty":          "{file} is empty. Save the page again.",
	"folder_without_page": "The folder {folder} holds no saved page.",
	"no_file":             "No file was added. Choose a saved page or a web archive.",
	"too_many_files":      "More than {most} files were added at once. Add fewer.",
	"files_too_large":     "The files are larger than {mb} MB together. Add fewer at once.",
	"no_results": "No entries of a search were found. Copy the whole page of results, or save it in your " +
		"browser.",
	"nothing_joins":      "This page adds nothing: the search holds all of its entries.",
	"site_list_empty":    "The list holds no site. Write a domain and what it is on each line.",
	"site_line_unread":   "Line {line} was not understood: {text}. Write a domain and what it is.",
	"results_too_large":  "The page of results is larger than {mb} MB. Copy its text instead.",
	"no_page_in_files":   "No page was found among the files. Add an HTML file, a text, or a web archive.",
	"file_of_nobody":     "This is not a page of this client or its rivals. Add its address first.",
	"file_without_url":   "This file does not tell its address. Add it by itself, on the page that it is.",
	"nothing_pasted":     "Nothing was pasted. Copy the page’s HTML or text and paste it here.",
	"pasted_too_large":   "What was pasted is larger than {mb} MB. Save the page and add the file instead.",
	"archive_unreadable": "This web archive cannot be read. Save the page again.",
	"archive_empty":      "This web archive holds no page.", "site_needed": "Choose whose these figures are.",
	"archive_too_many": "This web archive has more than {most} parts. Save the page by itself.",
	"archive_damaged": "This web archive is damaged; what stands before the damage " +
		"was used. Save the page again.",
	"archive_records":   "{broken} of the records of this web archive cannot be read; the others were used.",
	"archive_too_large": "This web archive unpacks to more than {mb} MB. Save the page by itself.",

	"list_too_large":      "The list is larger than {mb} MB. Split it and import the parts.",
	"json_unreadable":     "This JSON file cannot be read. Save it again, or as CSV.",
	"no_figure_source":    "There is no source of figures. Start the program with --figures-url, or import a file.",
	"no_table":            "There is no table in this file. Import CSV, TSV, XLSX, JSON or a page with a table.",
	"nothing_kept":        "Nothing in this table is about the client or a rival. Check what the columns are.",
	"no_link_site":        "This is no site. Say what to do about a domain, such as townnews.example.",
	"list_empty":          "The list is empty. Import one with a phrase in each row.",
	"list_not_text":       "This is not a list. Import CSV, TSV or XLSX.",
	"workbook_unreadable": "This workbook cannot be read. Save it again as XLSX or CSV.",
	"workbook_empty":      "The workbook is empty. Import one with a phrase in each row.",
	"no_phrase_column":    "No column holds phrases. Choose the one that does.",
	"columns_unreadable":  "What the columns hold could not be understood. Choose the list again.",
	"import_not_last":     "Later lists may have changed the same phrases. Undo the last one first: {name}.",

	"no_demand_source":   "No source of search volumes is set up. Start with --demand-url, or import a list.",
	"no_search_source":   "No search source is set up. Paste the addresses of the rivals instead.",
	"source_bad_address": "The address of the {source} source cannot be used. Check it where the program is started.",
	"source_silent":      "The {source} source did not answer. Try again later.",
	"source_answered":    "The {source} source answered {status}. Try again later.",
	"source_unreadable":  "The {source} source sent an answer that cannot be read. Try again later.",
	"search_unknown":     "The search source has no result for “{phrase}”. Paste the rivals’ addresses instead.",

	"phrase_no_word":      "The phrase “{text}” holds no word. Type one like chimney sweep tarn harbor.",
	"service_no_word":     "The service “{text}” holds no word. Type one like chimney sweep.",
	"spelling_no_word":    "The spelling “{text}” holds no word.",
	"place_no_word":       "The place “{text}” holds no word. Type one like Tarn Harbor, ME.",
	"text_too_long":       "An entry is longer than {most} characters. Shorten it.",
	"job_negative":        "A job of “{service}” cannot be worth less than nothing.",
	"client_needs_name":   "A client needs a name or an address.",
	"language_unknown":    "“{language}” is not a language. Type a tag like en or pt-BR.",
	"phrase_needed":       "A phrase is missing. Type what people search for.",
	"page_there":          "This page is in the list already.",
	"one_home_page":       "A client has one home page. Choose what else this page is for.",
	"home_page_stays":     "The home page stays. You can clear its address.",
	"no_such_service":     "“{service}” is not one of the services. Add it first.",
	"no_such_place":       "“{place}” is not one of the places. Add it first.",
	"page_needs_service":  "Choose the service that the page is for.",
	"page_needs_place":    "Choose the place that the page is for.",
	"page_needs_address":  "Give the page an address, or choose what it is for.",
	"entry_without_site":  "{name} has no site that is known.",
	"not_our_bookmark":    "This page was not handed over by your bookmark. Nothing was kept.",
	"other_origin":        "The page says that it is from {says}, but it came from {from}. Nothing was kept.",
	"day_bad":             "“{typed}” is no day. Type it as 2026-11-26, not later than today.",
	"entry_no_name":       "An entry needs a name or an address.",
	"kind_of_client":      "The client is told by its address or phone. Change those on the Ground.",
	"some_rivals_added":   "{inner} {added} other {added:rival was|rivals were} added.",
	"change_needs_value":  "Type what the target should say instead.",
	"hours_out_of_range":  "Hours are a number from 0 to {most}.",
	"run_under_way":       "Pages are being read already. Wait, or stop the run.",
	"nothing_to_read":     "There is no page to read. Add the client’s address or use a rival.",
	"no_such_figure":      "The yardstick has no figure “{figure}”.",
	"figure_out_of_range": "{figure} goes from {least} to {most}.",
	"guideline_backward":  "The guideline for a {page} page must rise: low, high, ceiling.",
	"image_name_bad":      "“{name}” is no image name. Use letters, digits and hyphens, like {like}.",
	"draft_empty":         "The draft is empty.", "target_needs_text": "Write what is to be done.",
	"draft_too_large":      "The draft is larger than {mb} MB, or unfolds to more. Hand in one page at a time.",
	"draft_unreadable":     "That file is no draft that can be read. Use text, Markdown, HTML or DOCX.",
	"draft_no_page":        "No page of the client is “{page}”. Name one by its address, or as home.",
	"weights_not_hundred":  "The weights add up to {sum}, not 100.",
	"shares_above_hundred": "The shares of the map's visits add up to {sum}, more than 100.",
	"shares_not_hundred":   "The shares of the sections add up to {sum}, not 100.",
	"text_empty":           "{figure} is empty. Write a text, or go back to the default.",
	"text_needs_phrase":    "Each line must have {blank} in it once: “{line}”.",
	"text_unknown_blank":   "{blank} cannot be filled in here: “{line}”.",
	"text_line_too_long":   "A line has at most {most} characters: “{line}…”.",
	"yardstick_not_yaml":   "That is no yardstick. It must be YAML: one figure a line, each with its value.",
	"yardstick_too_large":  "That file is larger than {kb} KB.",
	"rates_backward":       "The least rate of a phrase is above its most.",

	"not_there":      "This was removed elsewhere. Reload to see what is there.",
	"no_such_client": "There is no such client. It may have been deleted.",
	"given_up":       "The request was canceled.", "no_method": "This cannot be done here.",
	"own_mistake": "Something went wrong in the program; its log says more. Try again.",
	"wrong_host":  "This program answers only under its own address.",
	"other_site":  "Other sites cannot change anything here.",
	"no_address":  "There is nothing at this address.", "not_one_word": "“{text}” is not one word.",
	"bad_entry":        "“{field}” could not be understood. Reload the page and try again.",
	"entry_too_long":   "“{field}” is longer than {most} characters. Shorten it.",
	"entry_too_many":   "“{field}” has more than {most} entries. Use fewer.",
	"number_too_large": "“{field}” goes up to {most}. Use a smaller number.",
	"number_too_small": "“{field}” starts at {least}. Use a larger number.",
	"port_taken": "{address} cannot be listened on. Is the program running already? Choose another port " +
		"with --listen.",
	"data_file_linked": "{file} has a second name (a hard link). Remove that, or copy the file and open the copy.",
	"data_file_in_use": "The data file {file} is open in another Ink Tally. End that one first, or name " +
		"another file with --data.",
	"data_file_newer": "The data file {file} was written by a newer Ink Tally. Open it with that one; nothing " +
		"was changed.",
	"not_signed_in": "You are not signed in. Open /sign-in and enter the token that was printed at the " +
		"first start.",
	"body_too_large":       "That is more than fits here. Send less at once.",
	"kept_page_unreadable": "The kept page cannot be read any more. Read it again.",
	"backup_unreadable":    "{file} is no backup that can be restored. Take another one; nothing was changed.",
	"backup_over_itself":   "{file} is the data file itself. Name another file.",
	"backup_failed": "A copy of {file} could not be written to {copy}. Check that there is room and that " +
		"you may write there.",
	"data_file_damaged": "The data file {file} is damaged, and nothing more is written to it. See what is left with " +
		"inktally check, and put a backup in its place with inktally restore FILE.",
	"pages_damaged": "Kept pages that cannot be read: {pages}. Measure their clients again, or restore a " +
		"backup.",
	"changed_elsewhere": "The {thing} changed elsewhere to {theirs?}; you entered {yours?}. Save again to keep " +
		"yours.",
	"disk_full": "The disk is full: nothing was kept. Delete a client or free some room elsewhere, then " +
		"try again.",
	"no_room_for_copy": "The data file {file} is of an older Ink Tally, and the copy {copy} cannot be written. " +
		"Make room for it, then start again; nothing was changed.",
	"disk_short": "The disk is full: little more will be kept. Delete a client or free some room elsewhere.",
	"no_room_to_open": "The disk is full, and the data file {file} cannot be opened. Free some room, then start " +
		"again; nothing was changed.",
	"bad_data_file": "The data file {file} cannot be used. Check that it is there and that you may write to " +
		"it.",
}

// Faults returns the codes that have a sentence.
func Faults() []fault.Code { return slices.Sorted(maps.Keys(faults)) }

// Fault words a fault.
func Fault(f *fault.Fault) string {
	if f == nil {
		return ""
	}
	return strings.TrimSpace(places.ReplaceAllStringFunc(faults[f.Code], func(place string) string {
		name, forms, counted := strings.Cut(strings.Trim(place, "{}"), ":")
		one, many, _ := strings.Cut(forms, "|")
		name, has := strings.CutSuffix(name, "?")
		switch value := f.Params[name]; {
		case name == "inner":
			return Fault(f.Inner)
		case name == "thing":
			return thing(value)
		case name == "figure" && yardsticks.Says(value) != "":
			return quoted(yardsticks.Says(value))
		case has && value == "":
			return "nothing"
		case has:
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
