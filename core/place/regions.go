package place

import (
	"strings"

	"inktally/core/text"
)

// Region is a state, a province or a county (rule 5.4).
type Region struct {
	Name string
	// Short are its abbreviations, the usual one first; counties may have none.
	Short []string
	// Country is its code of two letters.
	Country string
}

// american, canadian and australian regions are listed as SHORT Name; the
// counties of Britain and Ireland as Name with what is written for it.
const (
	american = `AL Alabama;AK Alaska;AZ Arizona;AR Arkansas;CA California;CO Colorado;CT Connecticut;DE Delaware;
DC District of Columbia;FL Florida;GA Georgia;HI Hawaii;ID Idaho;IL Illinois;IN Indiana;IA Iowa;
KS Kansas;KY Kentucky;LA Louisiana;ME Maine;MD Maryland;MA Massachusetts;MI Michigan;MN Minnesota;
MS Mississippi;MO Missouri;MT Montana;NE Nebraska;NV Nevada;NH New Hampshire;NJ New Jersey;
NM New Mexico;NY New York;NC North Carolina;ND North Dakota;OH Ohio;OK Oklahoma;OR Oregon;
PA Pennsylvania;RI Rhode Island;SC South Carolina;SD South Dakota;TN Tennessee;TX Texas;UT Utah;
VT Vermont;VA Virginia;WA Washington;WV West Virginia;WI Wisconsin;WY Wyoming`
	canadian = `AB Alberta;BC British Columbia;MB Manitoba;NB New Brunswick;NL Newfoundland;
NL Newfoundland and Labrador;NT Northwest Territories;NS Nova Scotia;NU Nunavut;ON Ontario;
PE Prince Edward Island;PEI Prince Edward Island;QC Quebec;SK Saskatchewan;YT Yukon;
NB Nouveau Brunswick;NS Nouvelle Écosse;BC Colombie Britannique`
	australian = `NSW New South Wales;QLD Queensland;SA South Australia;TAS Tasmania;VIC Victoria;WA Western Australia;
ACT Australian Capital Territory;NT Northern Territory`
	british = `Bedfordshire Beds;Berkshire Berks;Buckinghamshire Bucks;Cambridgeshire Cambs;Cheshire;Cornwall;Cumbria;
Cumberland;Derbyshire;Devon;Dorset;County Durham;Essex;Gloucestershire Glos;Greater London;
Greater Manchester;Hampshire Hants;Herefordshire;Hertfordshire Herts;Huntingdonshire;Isle of Wight;Kent;
Lancashire Lancs;Leicestershire Leics;Lincolnshire Lincs;Merseyside;Middlesex;Norfolk;
Northamptonshire Northants;Northumberland;Nottinghamshire Notts;Oxfordshire Oxon;Rutland;
Shropshire Salop;Somerset;Staffordshire Staffs;Suffolk;Surrey;East Sussex;West Sussex;Sussex;
Tyne and Wear;Warwickshire Warks;West Midlands;Wiltshire Wilts;Worcestershire Worcs;North Yorkshire;
South Yorkshire;West Yorkshire;East Yorkshire;Yorkshire Yorks;Aberdeenshire;Angus;Argyll;Ayrshire;
Banffshire;Berwickshire;Caithness;Clackmannanshire;Dumfriesshire;Dunbartonshire;East Lothian;Midlothian;
West Lothian;Fife;Kinross;Kirkcudbrightshire;Lanarkshire;Moray;Nairnshire;Orkney;Peeblesshire;
Perthshire;Renfrewshire;Roxburghshire;Selkirkshire;Shetland;Stirlingshire;Sutherland;Wigtownshire;
Anglesey;Brecknockshire;Caernarfonshire;Carmarthenshire;Ceredigion;Clwyd;Conwy;Denbighshire;Dyfed;
Flintshire;Glamorgan;Gwent;Gwynedd;Merionethshire;Monmouthshire;Montgomeryshire;Pembrokeshire;Powys;
Radnorshire;County Antrim;County Armagh;County Down;County Fermanagh;County Londonderry;County Tyrone`
	irish = `County Carlow;County Cavan;County Clare;County Cork;County Donegal;County Dublin;County Galway;
County Kerry;County Kildare;County Kilkenny;County Laois;County Leitrim;County Limerick;County Longford;
County Louth;County Mayo;County Meath;County Monaghan;County Offaly;County Roscommon;County Sligo;
County Tipperary;County Waterford;County Westmeath;County Wexford;County Wicklow`
	nations = `US USA;US United States;US America;CA Canada;GB UK;GB United Kingdom;GB Britain;GB England;GB Scotland;
GB Wales;GB Northern Ireland;IE Ireland;AU Australia;NZ New Zealand;ZA South Africa;IN India`
)

// regionsByForm are the regions by each of their forms, as tokens parted by spaces.
// Nations are not among them.
var regionsByForm = func() map[string][]Region {
	out := map[string][]Region{}
	add := func(r Region) {
		for _, form := range append([]string{r.Name}, r.Short...) {
			key := strings.Join(text.Tokens(form), " ")
			out[key] = append(out[key], r)
		}
		if bare, ok := strings.CutPrefix(r.Name, "County "); ok {
			for _, form := range []string{"Co " + bare, bare} {
				key := strings.Join(text.Tokens(form), " ")
				out[key] = append(out[key], r)
			}
		}
	}
	for country, list := range map[string]string{"US": american, "CA": canadian, "AU": australian} {
		for entry := range strings.SplitSeq(list, ";") {
			short, name, _ := strings.Cut(strings.TrimSpace(entry), " ")
			add(Region{Name: name, Short: []string{short}, Country: country})
		}
	}
	for country, list := range map[string]string{"GB": british, "IE": irish} {
		for entry := range strings.SplitSeq(list, ";") {
			r := Region{Name: strings.TrimSpace(entry), Country: country}
			if at := strings.LastIndex(r.Name, " "); at > 0 && shortened(r.Name[at+1:], r.Name[:at]) {
				r.Name, r.Short = r.Name[:at], []string{r.Name[at+1:]}
			}
			add(r)
		}
	}
	return out
}()

// shortened reports whether a word is what is written for a county, rather than a
// word of its name.
func shortened(short, name string) bool {
	return !strings.Contains(name, " ") && name != "County" && short[0] == name[0] && len(short) < len(name) ||
		short == "Salop" || short == "Hants" || short == "Oxon"
}

// nationOf is the country by the names of it and of its parts.
var nationOf = func() map[string]string {
	out := map[string]string{}
	for entry := range strings.SplitSeq(nations, ";") {
		country, name, _ := strings.Cut(strings.TrimSpace(entry), " ")
		out[strings.ToLower(name)] = country
	}
	return out
}()

// Nation returns the country, by its code of two letters, that a name is that of; empty
// for none.
func Nation(name string) string { return nationOf[strings.ToLower(strings.TrimSpace(name))] }

// preferred are the countries in the order in which a form that several of them
// have is read: WA, NT.
var preferred = []string{"US", "CA", "GB", "IE", "AU"}

// Regions returns those that a form is one of: the name of a state, a province or a
// county, or an abbreviation of it.
func Regions(form string) []Region {
	all := regionsByForm[strings.Join(text.Tokens(form), " ")]
	var out []Region
	for _, country := range preferred {
		for _, r := range all {
			if r.Country == country {
				out = append(out, r)
			}
		}
	}
	return out
}

// StateName returns the name of a state given by its abbreviation or name.
func StateName(s string) (string, bool) {
	if r := Regions(s); len(r) > 0 {
		return r[0].Name, true
	}
	return "", false
}

// StateAbbreviation returns the abbreviation of a state given by either form.
func StateAbbreviation(s string) (string, bool) {
	for _, r := range Regions(s) {
		if len(r.Short) > 0 {
			return r.Short[0], true
		}
	}
	return "", false
}

// Country returns the country of a place by its state, empty if it is not known.
func (p Place) Country() string {
	if r := Regions(p.State); len(r) > 0 {
		return r[0].Country
	}
	return Nation(p.State)
}
