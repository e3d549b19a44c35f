package fault

// The failures of addresses that somebody typed.
const (
	AddressMissing Code = "address_missing"
	AddressSpace   Code = "address_space"
	AddressScheme  Code = "address_scheme"
	AddressNoSite  Code = "address_no_site"
	AddressBad     Code = "address_bad"
	AddressNoDot   Code = "address_no_dot"
)

// The failures of pages that are read from the web.
const (
	RedirectCircle Code = "redirect_circle"
	RedirectScheme Code = "redirect_scheme"
	SiteAnswered   Code = "site_answered"
	NotAPage       Code = "not_a_page"
	PageTooLarge   Code = "page_too_large"
	PageCutShort   Code = "page_cut_short"
	HeadersEndless Code = "headers_endless"
	PrivateAddress Code = "private_address"
	NoSuchSite     Code = "no_such_site"
	TimedOut       Code = "timed_out"
	NoConnection   Code = "no_connection"
	// Untrusted is a site whose certificate is expired, made for another name, or signed by nobody
	// who is known.
	Untrusted      Code = "untrusted_certificate"
	NotRead        Code = "not_read"
	UnknownPacking Code = "unknown_packing"
	RobotsRefuse   Code = "robots_refuse"
	NotReadBefore  Code = "not_read_before"
)

// The failures of pages that a browser renders.
const (
	NoBrowser       Code = "no_browser"
	BrowserNotStart Code = "browser_not_started"
	BrowserLost     Code = "browser_lost"
	RenderTimedOut  Code = "render_timed_out"
	RenderFailed    Code = "render_failed"
	RenderMemory    Code = "render_memory"
	RenderTooLarge  Code = "render_too_large"
	TakenAsServed   Code = "taken_as_served"
	PageNotReadYet  Code = "page_not_read_yet"
	PageKeptNowhere Code = "page_kept_nowhere"
)

// The failures of files that a user adds.
const (
	FileUnreadable    Code = "file_unreadable"
	FileIsFolder      Code = "file_is_folder"
	FileEmpty         Code = "file_empty"
	FileNotAPage      Code = "file_not_a_page"
	FolderWithoutPage Code = "folder_without_page"
	NoFile            Code = "no_file"
	TooManyFiles      Code = "too_many_files"
	FilesTooLarge     Code = "files_too_large"
	NoPageInFiles     Code = "no_page_in_files"
	FileOfNobody      Code = "file_of_nobody"
	FileWithoutURL    Code = "file_without_url"
	NothingPasted     Code = "nothing_pasted"
	PastedTooLarge    Code = "pasted_too_large"
	ArchiveUnreadable Code = "archive_unreadable"
	ArchiveEmpty      Code = "archive_empty"
	ArchiveTooMany    Code = "archive_too_many"
	ArchiveDamaged    Code = "archive_damaged"
	ArchiveRecords    Code = "archive_records"
	ArchiveTooLarge   Code = "archive_too_large"
)

// The failures of lists of phrases.
const (
	ListTooLarge       Code = "list_too_large"
	ListEmpty          Code = "list_empty"
	ListNotText        Code = "list_not_text"
	ListNotOne         Code = "list_not_one"
	WorkbookUnreadable Code = "workbook_unreadable"
	WorkbookEmpty      Code = "workbook_empty"
	NoPhraseColumn     Code = "no_phrase_column"
	ColumnsUnreadable  Code = "columns_unreadable"
	ImportNotLast      Code = "import_not_last"
)

// The failures of sources outside.
const (
	NoDemandSource   Code = "no_demand_source"
	NoSearchSource   Code = "no_search_source"
	SourceBadAddress Code = "source_bad_address"
	SourceSilent     Code = "source_silent"
	SourceAnswered   Code = "source_answered"
	SourceUnreadable Code = "source_unreadable"
	SearchUnknown    Code = "search_unknown"
	NoResults        Code = "no_results"
	ResultsTooLarge  Code = "results_too_large"
)

// The failures of what is typed of a client.
const (
	PhraseNoWord      Code = "phrase_no_word"
	ServiceNoWord     Code = "service_no_word"
	SpellingNoWord    Code = "spelling_no_word"
	PlaceNoWord       Code = "place_no_word"
	TextTooLong       Code = "text_too_long"
	JobNegative       Code = "job_negative"
	ClientNeedsName   Code = "client_needs_name"
	LanguageUnknown   Code = "language_unknown"
	PhraseNeeded      Code = "phrase_needed"
	NotOneWord        Code = "not_one_word"
	PageThere         Code = "page_there"
	OneHomePage       Code = "one_home_page"
	HomePageStays     Code = "home_page_stays"
	NoSuchService     Code = "no_such_service"
	NoSuchPlace       Code = "no_such_place"
	PageNeedsService  Code = "page_needs_service"
	PageNeedsPlace    Code = "page_needs_place"
	PageNeedsAddress  Code = "page_needs_address"
	EntryWithoutSite  Code = "entry_without_site"
	EntryNoName       Code = "entry_no_name"
	NoFigures         Code = "no_figures"
	NotOurBookmark    Code = "not_our_bookmark"
	OtherOrigin       Code = "other_origin"
	DayBad            Code = "day_bad"
	KindOfClient      Code = "kind_of_client"
	SomeRivalsAdded   Code = "some_rivals_added"
	ChangeNeedsValue  Code = "change_needs_value"
	TargetNeedsText   Code = "target_needs_text"
	ImageNameBad      Code = "image_name_bad"
	DraftEmpty        Code = "draft_empty"
	DraftTooLarge     Code = "draft_too_large"
	DraftUnreadable   Code = "draft_unreadable"
	DraftNoPage       Code = "draft_no_page"
	HoursOutOfRange   Code = "hours_out_of_range"
	RunUnderWay       Code = "run_under_way"
	NothingToRead     Code = "nothing_to_read"
	NoSuchFigure      Code = "no_such_figure"
	FigureOutOfRange  Code = "figure_out_of_range"
	GuidelineBackward Code = "guideline_backward"
	WeightsNotHundred Code = "weights_not_hundred"
	SharesNotHundred  Code = "shares_not_hundred"
	RatesBackward     Code = "rates_backward"
	FrameNeedsPhrase  Code = "frame_needs_phrase"
	YardstickNotYAML  Code = "yardstick_not_yaml"
	YardstickTooLarge Code = "yardstick_too_large"
)

// The failures of requests to the program.
const (
	NotThere           Code = "not_there"
	GivenUp            Code = "given_up"
	OwnMistake         Code = "own_mistake"
	WrongHost          Code = "wrong_host"
	OtherSite          Code = "other_site"
	NoMethod           Code = "no_method"
	NoAddress          Code = "no_address"
	BadEntry           Code = "bad_entry"
	EntryTooLong       Code = "entry_too_long"
	EntryTooMany       Code = "entry_too_many"
	NumberTooLarge     Code = "number_too_large"
	NumberTooSmall     Code = "number_too_small"
	PortTaken          Code = "port_taken"
	BadDataFile        Code = "bad_data_file"
	DataFileInUse      Code = "data_file_in_use"
	DataFileNewer      Code = "data_file_newer"
	BrowserNotClosed   Code = "browser_not_closed"
	NotSignedIn        Code = "not_signed_in"
	BodyTooLarge       Code = "body_too_large"
	KeptPageUnreadable Code = "kept_page_unreadable"
	BackupUnreadable   Code = "backup_unreadable"
	BackupOverItself   Code = "backup_over_itself"
	BackupFailed       Code = "backup_failed"
	DataFileDamaged    Code = "data_file_damaged"
	PagesDamaged       Code = "pages_damaged"
	ChangedElsewhere   Code = "changed_elsewhere"
	DiskFull           Code = "disk_full"
	NoRoomForCopy      Code = "no_room_for_copy"
)

// params are the parameters of each code.
var params = map[Code][]string{
	AddressMissing: {}, AddressSpace: {"address"}, AddressScheme: {"scheme"}, AddressNoSite: {"address"},
	AddressBad:   {"address"},
	AddressNoDot: {"name"},

	RedirectCircle: {"host"}, RedirectScheme: {"host", "scheme"}, SiteAnswered: {"host", "status", "says"},
	NotAPage:     {"host", "type"},
	PageTooLarge: {"mb"}, PageCutShort: {"host"}, HeadersEndless: {"host"}, PrivateAddress: {"host", "address"},
	NoSuchSite: {"host"},
	TimedOut:   {"host"}, NoConnection: {"host"}, Untrusted: {"host"}, NotRead: {"host"},
	UnknownPacking: {"host", "packing"}, RobotsRefuse: {"host"},
	NotReadBefore: {},

	NoBrowser: {}, BrowserNotStart: {}, BrowserLost: {}, RenderTimedOut: {"host"}, RenderFailed: {"host"},
	RenderMemory:   {"host"},
	RenderTooLarge: {}, TakenAsServed: {}, PageNotReadYet: {}, PageKeptNowhere: {},

	FileUnreadable: {"file"}, FileIsFolder: {"file"}, FileEmpty: {"file"}, FileNotAPage: {"file"},
	FolderWithoutPage: {"folder"},
	NoFile:            {}, TooManyFiles: {"most"}, FilesTooLarge: {"mb"}, NoPageInFiles: {}, FileOfNobody: {},
	FileWithoutURL: {},
	NothingPasted:  {}, PastedTooLarge: {"mb"}, ArchiveUnreadable: {}, ArchiveEmpty: {}, ArchiveTooMany: {"most"},
	ArchiveDamaged: {},
	ArchiveRecords: {"broken"}, ArchiveTooLarge: {"mb"},

	ListTooLarge: {"mb"}, ListEmpty: {}, ListNotText: {}, ListNotOne: {}, WorkbookUnreadable: {}, WorkbookEmpty: {},
	NoPhraseColumn:    {},
	ColumnsUnreadable: {}, ImportNotLast: {"name"},

	NoResults: {}, ResultsTooLarge: {"mb"}, NoDemandSource: {}, NoSearchSource: {}, SourceBadAddress: {"source"},
	SourceSilent: {"source"}, SourceAnswered: {"source", "status"},
	SourceUnreadable: {"source"}, SearchUnknown: {"phrase"},

	PhraseNoWord: {"text"}, ServiceNoWord: {"text"}, SpellingNoWord: {"text"}, PlaceNoWord: {"text"},
	TextTooLong: {"most"},
	JobNegative: {"service"}, ClientNeedsName: {}, LanguageUnknown: {"language"}, PhraseNeeded: {},
	NotOneWord: {"text"},
	PageThere:  {}, OneHomePage: {}, HomePageStays: {}, NoSuchService: {"service"}, NoSuchPlace: {"place"},
	PageNeedsService: {},
	PageNeedsPlace:   {}, PageNeedsAddress: {}, EntryWithoutSite: {"name"}, EntryNoName: {}, NoFigures: {},
	NotOurBookmark: {}, OtherOrigin: {"says", "from"}, DayBad: {"typed"}, KindOfClient: {}, SomeRivalsAdded: {"added"},
	ChangeNeedsValue: {}, TargetNeedsText: {}, ImageNameBad: {"name", "like"}, DraftEmpty: {}, DraftTooLarge: {"mb"},
	DraftUnreadable: {}, DraftNoPage: {"page"},
	HoursOutOfRange: {"most"}, RunUnderWay: {}, NothingToRead: {}, NoSuchFigure: {"figure"},
	FigureOutOfRange:  {"figure", "least", "most"},
	GuidelineBackward: {"page"}, WeightsNotHundred: {"sum"}, SharesNotHundred: {"sum"}, RatesBackward: {},
	FrameNeedsPhrase: {"line"},
	YardstickNotYAML: {}, YardstickTooLarge: {"kb"},

	NotThere: {}, GivenUp: {}, OwnMistake: {}, WrongHost: {}, OtherSite: {}, NoMethod: {}, NoAddress: {},
	BadEntry:     {"field"},
	EntryTooLong: {"field", "most"}, EntryTooMany: {"field", "most"}, NumberTooLarge: {"field", "most"},
	NumberTooSmall: {"field", "least"},
	PortTaken:      {"address"}, BadDataFile: {"file"}, DataFileInUse: {"file"}, DataFileNewer: {"file"}, DiskFull: {},
	ChangedElsewhere: {"thing", "theirs", "yours"}, BackupUnreadable: {"file"}, BackupOverItself: {"file"},
	BackupFailed: {"file", "copy"}, DataFileDamaged: {"file"}, PagesDamaged: {"pages"}, KeptPageUnreadable: {},
	NotSignedIn: {}, BodyTooLarge: {}, BrowserNotClosed: {}, NoRoomForCopy: {"file", "copy"},
}
