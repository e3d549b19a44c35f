package fault

// Thing names what two people can change at once: a parameter of ChangedElsewhere. A figure
// of the yardstick goes by its own key.
type Thing string

// The things, by what they belong to.
const (
	ClientName Thing = "client_name"
	Trade      Thing = "trade"
	Phone      Thing = "phone"
	HomePage   Thing = "home_page"
	Language   Thing = "language"
	Currency   Thing = "currency"
	Postcode   Thing = "postcode"
	Customers  Thing = "customers"

	StreetAddress Thing = "street_address"
	AddressHidden Thing = "address_hidden"
	OpeningHours  Thing = "opening_hours"
	MorePhones    Thing = "more_phones"

	Services Thing = "services"
	Places   Thing = "places"
	Phrases  Thing = "phrases"
	Hours    Thing = "hours"

	PageURL     Thing = "page_url"
	PageKind    Thing = "page_kind"
	PageService Thing = "page_service"
	PagePlace   Thing = "page_place"

	SectionHeading Thing = "section_heading"
	SectionWords   Thing = "section_words"
	SectionKept    Thing = "section_kept"
	SectionOrder   Thing = "section_order"
	OthersAdjusted Thing = "others_adjusted"

	TargetChoice Thing = "target_choice"
	SiteFigure   Thing = "site_figure"
)

// Things returns all of them.
func Things() []Thing {
	return []Thing{ClientName, Trade, Phone, HomePage, Language, Currency, Postcode, Customers,
		StreetAddress, AddressHidden, OpeningHours, MorePhones, Services, Places,
		Phrases, Hours,
		PageURL, PageKind, PageService, PagePlace, SectionHeading, SectionWords, SectionKept, SectionOrder,
		OthersAdjusted, TargetChoice, SiteFigure}
}
