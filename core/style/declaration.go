package style

import (
	"slices"
	"strings"

	"github.com/tdewolff/parse/v2/css"
)

// property is one of the few CSS properties that matter here.
type property uint8

const (
	propDisplay property = iota
	propVisibility
	propContentVisibility
	propFloat
	propPosition
	propWhiteSpace
	propBackground
	propCount
)

var properties = map[string]property{
	"display": propDisplay, "all": propDisplay, "visibility": propVisibility,
	"content-visibility": propContentVisibility,
	"float":              propFloat, "position": propPosition, "white-space": propWhiteSpace,
	"white-space-collapse": propWhiteSpace,
	"background":           propBackground, "background-image": propBackground,
}

// wide are the values that every property can have.
var wide = []string{"initial", "unset", "inherit", "revert", "revert-layer"}

// The values of properties other than display.
const (
	off       uint8 = iota
	on              // hidden, hidden, floated, out of flow, line ends kept
	inherited       // as around it
)

// declaration is a property with its value: a Display for propDisplay.
type declaration struct {
	property  property
	value     uint8
	important bool
	// raw is the value if it holds a var(), to be put in when it is known.
	raw string
	// addresses are those of background images.
	addresses []string
}

// custom is the declaration of a custom property.
type custom struct {
	name, value string
	important   bool
}

// declarations are those of one rule or of a style attribute.
type declarations struct {
	list    []declaration
	customs []custom
}

func (s *declarations) empty() bool { return len(s.list)+len(s.customs) == 0 }

// waits reports whether some value holds a var().
func (s *declarations) waits() bool {
	return slices.ContainsFunc(s.list, func(d declaration) bool { return d.raw != "" })
}

// add adds one declaration; all that does not matter here is left out.
func (s *declarations) add(name css.Token, values []css.Token) {
	if name.TokenType == css.CustomPropertyNameToken || strings.HasPrefix(string(name.Data), "--") {
		value, important := valueOf(values)
		s.customs = append(s.customs, custom{string(name.Data), value, important})
		return
	}
	named := strings.ToLower(unescape(string(name.Data)))
	d, ok := declaration{}, false
	if d.property, ok = properties[named]; !ok {
		return
	}
	var value string
	value, d.important = valueOf(values)
	switch {
	case d.property == propBackground:
		d.addresses = addresses(values)
	case strings.Contains(value, "var("):
		d.raw = value
	case named == "all" && !slices.Contains(wide, value):
		return
	default:
		if d, ok = d.read(value); !ok {
			return
		}
	}
	s.list = append(s.list, d)
}

// read reads the value of a property.
func (d declaration) read(value string) (declaration, bool) {
	switch d.property {
	case propDisplay:
		shown, known := parseDisplay(value)
		d.value = uint8(shown)
		return d, known
	case propVisibility:
		return d.among(value, []string{"hidden", "collapse"}, []string{"visible", "initial"})
	case propContentVisibility:
		return d.among(value, []string{"hidden"}, []string{"visible", "auto", "initial"})
	case propFloat:
		return d.among(value, []string{"left", "right", "inline-start", "inline-end"},
			[]string{"none", "initial", "unset", "revert"})
	case propPosition:
		return d.among(value, []string{"absolute", "fixed"},
			[]string{"static", "relative", "sticky", "initial", "unset", "revert"})
	}
	value, _, _ = strings.Cut(value, " ") // preserve nowrap
	return d.among(value,
		[]string{"pre", "pre-wrap", "pre-line", "break-spaces", "preserve", "preserve-breaks"},
		[]string{"normal", "nowrap", "collapse", "initial"})
}

func (d declaration) among(value string, yes, no []string) (declaration, bool) {
	switch {
	case slices.Contains(yes, value):
		d.value = on
	case slices.Contains(no, value):
		d.value = off
	case value == "inherit" || value == "unset" || value == "revert" || value == "revert-layer":
		d.value = inherited
	default:
		return d, false
	}
	return d, true
}

// valueOf joins the tokens of a value, lower-cased, and parts !important off.
func valueOf(tokens []css.Token) (value string, important bool) {
	value = strings.ToLower(strings.TrimSpace(unescape(joined(tokens))))
	if at := strings.LastIndexByte(value, '!'); at >= 0 && strings.TrimSpace(value[at+1:]) == "important" {
		value, important = strings.TrimSpace(value[:at]), true
	}
	return strings.Join(strings.Fields(value), " "), important
}

// matters reports whether a style attribute may say something of what is read here;
// most give colours and sizes.
func matters(style string) bool {
	const shortest = len("all:x")
	for at := 0; at+shortest <= len(style); at++ {
		switch style[at] | 0x20 {
		case 'a', 'b', 'c', 'd', 'f', 'p', 'v', 'w':
			for _, start := range [...]string{"displ", "visib", "float", "posit", "white", "conte", "backg", "all"} {
				if strings.EqualFold(style[at:at+len(start)], start) {
					return true
				}
			}
		case '\\' | 0x20: // an escape
			return true
		case '-':
			if style[at+1] == '-' { // a custom property
				return true
			}
		}
	}
	return false
}

// inline reads a style attribute: declarations without a block.
func inline(style string) (set declarations) {
	if !matters(style) {
		return set
	}
	r := reader{tokens: tokens(style)}
	for r.kind() != css.ErrorToken {
		from := r.at
		for r.kind() != css.ErrorToken && r.kind() != css.SemicolonToken {
			r.skip()
		}
		set.one(r.tokens[from:r.at])
		r.at++
	}
	return set
}

// one adds the declaration name: value, if it is one.
func (s *declarations) one(tokens []css.Token) {
	r := reader{tokens: tokens}
	r.blanks()
	name := r.at
	r.at++
	r.blanks()
	if r.kind() == css.ColonToken && (tokens[name].TokenType == css.IdentToken ||
		tokens[name].TokenType == css.CustomPropertyNameToken) {
		s.add(tokens[name], tokens[r.at+1:])
	}
}

// addresses returns the addresses of the url() values among tokens.
func addresses(tokens []css.Token) []string {
	var out []string
	for i, t := range tokens {
		switch {
		case t.TokenType == css.URLToken:
			out = append(out, address(t))
		case t.TokenType == css.FunctionToken && strings.EqualFold(string(t.Data), "url(") && i+1 < len(tokens):
			out = append(out, unquote(string(tokens[i+1].Data)))
		}
	}
	return out
}

// address returns that of a url() token or a string.
func address(t css.Token) string {
	s := string(t.Data)
	if t.TokenType == css.URLToken {
		s = strings.TrimSuffix(s[len("url("):], ")")
	}
	return unquote(s)
}

func unquote(s string) string {
	return strings.Trim(strings.TrimSpace(s), `"'`)
}
