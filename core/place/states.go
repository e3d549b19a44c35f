package place

import "strings"

// states are the states by their abbreviations.
var states = map[string]string{
	"AL": "Alabama",
	"AK": "Alaska",
	"AZ": "Arizona",
	"AR": "Arkansas",
	"CA": "California",
	"CO": "Colorado",
	"CT": "Connecticut",
	"DE": "Delaware",
	"DC": "District of Columbia",
	"FL": "Florida",
	"GA": "Georgia",
	"HI": "Hawaii",
	"ID": "Idaho",
	"IL": "Illinois",
	"IN": "Indiana",
	"IA": "Iowa",
	"KS": "Kansas",
	"KY": "Kentucky",
	"LA": "Louisiana",
	"ME": "Maine",
	"MD": "Maryland",
	"MA": "Massachusetts",
	"MI": "Michigan",
	"MN": "Minnesota",
	"MS": "Mississippi",
	"MO": "Missouri",
	"MT": "Montana",
	"NE": "Nebraska",
	"NV": "Nevada",
	"NH": "New Hampshire",
	"NJ": "New Jersey",
	"NM": "New Mexico",
	"NY": "New York",
	"NC": "North Carolina",
	"ND": "North Dakota",
	"OH": "Ohio",
	"OK": "Oklahoma",
	"OR": "Oregon",
	"PA": "Pennsylvania",
	"RI": "Rhode Island",
	"SC": "South Carolina",
	"SD": "South Dakota",
	"TN": "Tennessee",
	"TX": "Texas",
	"UT": "Utah",
	"VT": "Vermont",
	"VA": "Virginia",
	"WA": "Washington",
	"WV": "West Virginia",
	"WI": "Wisconsin",
	"WY": "Wyoming",
}

// stateNames are the states by both of their forms in lower case.
var stateNames = func() map[string]string {
	names := map[string]string{}
	for abbreviation, name := range states {
		names[strings.ToLower(abbreviation)] = name
		names[strings.ToLower(name)] = name
	}
	return names
}()

// StateName returns the name of a state given by its abbreviation or name.
func StateName(s string) (string, bool) {
	name, ok := stateNames[strings.ToLower(strings.TrimSpace(s))]
	return name, ok
}

// StateAbbreviation returns the abbreviation of a state given by either form.
func StateAbbreviation(s string) (string, bool) {
	name, ok := StateName(s)
	if !ok {
		return "", false
	}
	for abbreviation, n := range states {
		if n == name {
			return abbreviation, true
		}
	}
	return "", false
}
