package style

import "strings"

// never is a class that no element has. It stands for what no element is
// while nobody does anything, such as :hover.
const never = ".--never"

// The bounds of a selector and of a condition, and how deep brackets may stand
// in one another: nobody writes longer ones.
const (
	maxSelector = 4096
	maxList     = 1 << 20 // of a list of selectors
	maxBrackets = 16
)

// prepareList writes a list of selectors as the matcher knows them, without
// those that never match. One that no browser knows makes the list void.
func prepareList(list string, nested bool) (selectors []string, ok bool) {
	if len(list) > maxList {
		return nil, false
	}
	for _, selector := range splitList(list) {
		if selector == "" || len(selector) > maxSelector {
			return nil, false
		}
		if !nested {
			selector = unnest(selector, ":root")
		}
		p := preparer{in: selector}
		if !p.run() {
			return nil, false
		}
		if !p.never {
			selectors = append(selectors, p.out.String())
		}
	}
	return selectors, true
}

// preparer writes one selector anew.
type preparer struct {
	in    string
	at    int
	out   strings.Builder
	depth int  // how many :not(), :is() and the like stand around it
	never bool // never matches
}

// run copies the selector, and changes pseudo-classes. It is false for a
// selector that browsers do not know.
func (p *preparer) run() bool {
	for p.at < len(p.in) {
		switch c := p.in[p.at]; {
		case c == ':':
			if !p.pseudo() {
				return false
			}
		case c == '\\':
			p.copy(min(2, len(p.in)-p.at))
		case c == '[':
			p.copy(attributeEnd(p.in[p.at:]))
		case c == '*' && strings.HasPrefix(p.in[p.at:], "*|"):
			p.at += len("*|") // any namespace
		case strings.IndexByte("{}();,!@%|\"'", c) >= 0:
			return false
		case isBlank(c):
			p.out.WriteByte(' ')
			p.at++
		default:
			p.copy(1)
		}
	}
	return true
}

func (p *preparer) copy(n int) {
	p.out.WriteString(p.in[p.at : p.at+n])
	p.at += n
}

// pseudo takes a pseudo-class or -element, with its brackets.
func (p *preparer) pseudo() bool {
	p.at++
	element := p.at < len(p.in) && p.in[p.at] == ':'
	if element {
		p.at++
	}
	from := p.at
	for p.at < len(p.in) && isName(p.in[p.at]) {
		p.at++
	}
	name := strings.ToLower(p.in[from:p.at])
	args, called := "", p.at < len(p.in) && p.in[p.at] == '('
	if called {
		end := closing(p.in, p.at)
		if end < 0 {
			return false
		}
		args, p.at = strings.TrimSpace(p.in[p.at+1:end]), end+1
	}
	if element || legacyElements[name] {
		p.never = true
		return p.depth == 0 && (legacyElements[name] || elements[name] || strings.HasPrefix(name, "-webkit-"))
	}
	if called {
		return p.call(name, args)
	}
	switch put, ok := classes[name]; {
	case ok && put == never:
		p.never = p.never || p.depth == 0
		p.out.WriteString(never)
	case ok:
		p.out.WriteString(put)
	default:
		return false
	}
	return true
}

// call takes a pseudo-class with brackets.
func (p *preparer) call(name, args string) bool {
	switch name {
	case "not", "is", "where", "matches", "-webkit-any", "has":
		return p.list(name, args)
	case "nth-child", "nth-last-child", "nth-of-type", "nth-last-of-type":
		if strings.Contains(args, " of ") {
			p.never = true // not known to the matcher
		}
		p.out.WriteString(":" + name + "(" + args + ")")
	case "lang":
		first, _, _ := strings.Cut(args, ",")
		p.out.WriteString(":lang(" + unquote(first) + ")")
	case "dir":
		if args == "rtl" {
			p.out.WriteString(":is([dir=rtl],[dir=rtl] *)")
		} else {
			p.out.WriteString(":not([dir=rtl]):not([dir=rtl] *)")
		}
	case "host", "host-context", "state", "active-view-transition-type", "current":
		p.never = true
	default:
		return false
	}
	return true
}

// list takes a pseudo-class that has selectors in its brackets. :is and :where
// leave out those that are not known.
func (p *preparer) list(name, args string) bool {
	if p.depth == maxBrackets {
		return false
	}
	forgiving := name == "is" || name == "where"
	var plain, children []string
	for _, part := range splitList(args) {
		inner := preparer{in: part, depth: p.depth + 1}
		child := name == "has" && strings.HasPrefix(part, ">")
		if child {
			inner.in = strings.TrimSpace(part[1:])
		}
		switch known := inner.in != "" && inner.run(); {
		case !known && !forgiving:
			return false
		case !known, inner.never, name == "has" && strings.ContainsAny(inner.in[:1], "+~"):
		case child:
			children = append(children, inner.out.String())
		case name == "not":
			for _, v := range variants(inner.out.String()) {
				plain = append(plain, v.selector)
			}
		default:
			plain = append(plain, inner.out.String())
		}
	}
	p.writeList(name, plain, children)
	return true
}

// writeList writes a pseudo-class as the matcher knows it, with its selectors and with those
// that are of children alone.
func (p *preparer) writeList(name string, plain, children []string) {
	switch {
	case len(plain)+len(children) == 0 && name == "not":
		p.out.WriteString(":not(" + never + ")")
	case len(plain)+len(children) == 0:
		p.never = p.never || p.depth == 0
		p.out.WriteString(never)
	case len(children) == 0:
		p.out.WriteString(":" + name + "(" + strings.Join(plain, ",") + ")")
	case len(plain) == 0:
		p.out.WriteString(":haschild(" + strings.Join(children, ",") + ")")
	default:
		p.out.WriteString(":is(:has(" + strings.Join(plain, ",") + "),:haschild(" + strings.Join(children, ",") + "))")
	}
}

func isName(c byte) bool {
	return c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9' || c == '-' || c == '_' || c >= 0x80
}

// classes are the pseudo-classes without brackets that browsers know, as the
// matcher is asked for them.
var classes = map[string]string{
	"root": ":root", "scope": ":root", "empty": ":empty", "link": ":link", "any-link": ":link",
	"-webkit-any-link": ":link",
	"first-child":      ":first-child", "last-child": ":last-child", "only-child": ":only-child",
	"first-of-type": ":first-of-type", "last-of-type": ":last-of-type", "only-of-type": ":only-of-type",
	"checked": ":checked", "enabled": ":enabled", "disabled": ":disabled", "open": "[open]",
	"required": "[required]", "optional": ":not([required])", "placeholder-shown": "[placeholder]:not([value])",
	"read-only": ":not([contenteditable])", "read-write": "[contenteditable]",
	"valid": ":not([required])", "invalid": "[required]:not([value])",
	"in-range": never, "out-of-range": never, "indeterminate": never, "default": never,
	"defined": ":not(" + never + ")", "hover": never, "active": never, "focus": never, "focus-visible": never,
	"focus-within": never, "visited": never, "target": never, "target-current": never, "local-link": never,
	"fullscreen": never, "-webkit-full-screen": never, "picture-in-picture": never, "modal": never,
	"popover-open": never,
	"autofill":     never, "-webkit-autofill": never, "user-valid": never, "user-invalid": never, "host": never,
	"playing": never, "paused": never, "muted": never, "seeking": never, "buffering": never, "stalled": never,
	"volume-locked": never, "-webkit-drag": never, "active-view-transition": never, "has-slotted": never,
	"future": never, "past": never, "current": never, "xr-overlay": never, "interest-source": never,
	"horizontal": never, "vertical": never, "increment": never, "decrement": never, "start": never, "end": never,
	"double-button": never, "single-button": never, "no-button": never, "corner-present": never,
	"window-inactive": never,
}

// legacyElements are the pseudo-elements that may stand behind one colon.
var legacyElements = map[string]bool{"before": true, "after": true, "first-line": true, "first-letter": true}

// elements are the others that browsers know.
var elements = map[string]bool{
	"selection": true, "placeholder": true, "marker": true, "backdrop": true, "file-selector-button": true, "cue": true,
	"part": true, "slotted": true, "target-text": true, "highlight": true, "grammar-error": true,
	"spelling-error":  true,
	"details-content": true, "view-transition": true, "view-transition-group": true, "view-transition-image-pair": true,
	"view-transition-old": true, "view-transition-new": true, "scroll-marker": true, "scroll-marker-group": true,
	"scroll-button": true, "column": true, "picker": true, "picker-icon": true, "checkmark": true, "search-text": true,
}
