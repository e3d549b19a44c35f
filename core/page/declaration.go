package page

import (
	"strings"

	"github.com/tdewolff/parse/v2"
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

// declaration is a property with its value. The value is a display for
// propDisplay; for the others 1 says hidden, hidden, floated, out of flow and
// line ends kept.
type declaration struct {
	property  property
	value     uint8
	important bool
	// raw is the value where it holds a var(), to be put in when it is known.
	raw string
	// addresses are those of background images.
	addresses []string
}

// custom is the declaration of a custom property.
type custom struct {
	name, value string
	important   bool
}

// parseDeclaration reads one declaration; ok is false for all that does not
// matter here.
func parseDeclaration(name string, values []css.Token) (d declaration, ok bool) {
	switch strings.ToLower(name) {
	case "display":
		d.property = propDisplay
	case "visibility":
		d.property = propVisibility
	case "content-visibility":
		d.property = propContentVisibility
	case "float":
		d.property = propFloat
	case "position":
		d.property = propPosition
	case "white-space", "white-space-collapse":
		d.property = propWhiteSpace
	case "background", "background-image":
		d.property = propBackground
		_, d.important = valueOf(values)
		d.addresses = addresses(values)
		return d, true
	default:
		return d, false
	}
	var value string
	value, d.important = valueOf(values)
	if strings.Contains(value, "var(") {
		d.raw = value
		return d, true
	}
	return d.read(value)
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
		return d.among(value, []string{"left", "right", "inline-start", "inline-end"}, []string{"none", "initial"})
	case propPosition:
		return d.among(value, []string{"absolute", "fixed"}, []string{"static", "relative", "sticky", "initial"})
	}
	return d.among(value,
		[]string{"pre", "pre-wrap", "pre-line", "break-spaces", "preserve", "preserve-breaks"},
		[]string{"normal", "nowrap", "collapse", "initial"})
}

// among sets the value to 1 for a word of yes, to 0 for one of no.
func (d declaration) among(value string, yes, no []string) (declaration, bool) {
	for _, v := range yes {
		if v == value {
			d.value = 1
			return d, true
		}
	}
	for _, v := range no {
		if v == value {
			return d, true
		}
	}
	return d, false
}

// valueOf joins the tokens of a value, lower-cased, and parts !important off.
func valueOf(tokens []css.Token) (value string, important bool) {
	var b strings.Builder
	for _, t := range tokens {
		b.Write(t.Data)
	}
	value = strings.ToLower(strings.TrimSpace(b.String()))
	if at := strings.LastIndexByte(value, '!'); at >= 0 && strings.TrimSpace(value[at+1:]) == "important" {
		return strings.TrimSpace(value[:at]), true
	}
	return strings.Join(strings.Fields(value), " "), false
}

// parseInline reads a style attribute.
func parseInline(style string) (decls []declaration, customs []custom) {
	p := css.NewParser(parse.NewInputString(style), true)
	for {
		grammar, _, data := p.Next()
		switch grammar {
		case css.ErrorGrammar:
			if !p.HasParseError() {
				return decls, customs
			}
		case css.DeclarationGrammar:
			if d, ok := parseDeclaration(string(data), p.Values()); ok {
				decls = append(decls, d)
			}
		case css.CustomPropertyGrammar:
			customs = append(customs, parseCustom(string(data), p.Values()))
		}
	}
}

// parseCustom reads the declaration of a custom property.
func parseCustom(name string, values []css.Token) custom {
	value, important := valueOf(values)
	return custom{name, value, important}
}

// addresses returns the addresses of the url() values among tokens.
func addresses(tokens []css.Token) []string {
	var out []string
	for i, t := range tokens {
		switch {
		case t.TokenType == css.URLToken:
			out = append(out, unquote(strings.TrimSuffix(string(t.Data)[len("url("):], ")")))
		case t.TokenType == css.FunctionToken && strings.EqualFold(string(t.Data), "url(") && i+1 < len(tokens):
			out = append(out, unquote(string(tokens[i+1].Data)))
		}
	}
	return out
}

func unquote(s string) string {
	return strings.Trim(strings.TrimSpace(s), `"'`)
}
