package style

import (
	"strconv"
	"strings"
	"unicode/utf8"
)

// compound is one of the parts of a selector between combinators, as far as
// it is asked for by name.
type compound struct {
	id, tag string
	classes []string
	then    byte // the combinator behind it, 0 at the end
}

// compounds takes a selector apart. What stands in brackets is left out.
func compounds(selector string) []compound {
	var out []compound
	var c compound
	for s := selector; ; {
		var name string
		switch {
		case s == "":
			return append(out, c)
		case s[0] == '#':
			name, s = cutName(s[1:])
			c.id = name
		case s[0] == '.':
			name, s = cutName(s[1:])
			c.classes = append(c.classes, name)
		case s[0] == '[':
			s = s[attributeEnd(s):]
		case s[0] == ':':
			_, s = cutName(strings.TrimLeft(s, ":"))
			if strings.HasPrefix(s, "(") {
				s = s[1+max(0, closing(s, 0)):]
			}
		case isName(s[0]) || s[0] == '\\':
			name, s = cutName(s)
			c.tag = strings.ToLower(name)
		case strings.IndexByte(combinators, s[0]) >= 0:
			rest := strings.TrimLeft(s, combinators)
			c.then = ' '
			if sign := strings.TrimSpace(s[:len(s)-len(rest)]); sign != "" {
				c.then = sign[0]
			}
			out, c, s = append(out, c), compound{}, rest
		default:
			s = s[1:]
		}
	}
}

// cutName cuts a name off the beginning, its escapes resolved.
func cutName(s string) (name, rest string) {
	end := 0
	for end < len(s) && (isName(s[end]) || s[end] == '\\' && end+1 < len(s)) {
		if s[end] == '\\' {
			end += escaped(s[end:])
		} else {
			end++
		}
	}
	return unescape(s[:end]), s[end:]
}

// escaped returns the length of the escape at the beginning of s: of six
// hexadecimal digits and a blank at most, or of a backslash and a character.
func escaped(s string) int {
	end := 1
	for end < len(s) && end < 7 && isHex(s[end]) {
		end++
	}
	switch {
	case end == 1:
		_, size := utf8.DecodeRuneInString(s[1:])
		return 1 + size
	case end < len(s) && isBlank(s[end]):
		return end + 1
	}
	return end
}

// unescape resolves the escapes of a name.
func unescape(s string) string {
	if !strings.Contains(s, `\`) {
		return s
	}
	var b strings.Builder
	for s != "" {
		if s[0] != '\\' {
			b.WriteByte(s[0])
			s = s[1:]
			continue
		}
		size := escaped(s)
		code := s[1:size]
		if code != "" && isHex(code[0]) {
			n, _ := strconv.ParseUint(strings.TrimSpace(code), 16, 32)
			if code = "\uFFFD"; n > ' ' { // what is no letter is in no name
				code = string(rune(n))
			}
		}
		b.WriteString(code)
		s = s[size:]
	}
	return b.String()
}

func isHex(c byte) bool {
	return c >= '0' && c <= '9' || c >= 'a' && c <= 'f' || c >= 'A' && c <= 'F'
}

// attributeEnd returns the length of the [...] at the beginning of s, all of s
// if it is not closed.
func attributeEnd(s string) int {
	var quote byte
	for i := range len(s) {
		switch c := s[i]; {
		case quote != 0:
			if c == quote && s[i-1] != '\\' {
				quote = 0
			}
		case c == '"' || c == '\'':
			quote = c
		case c == ']':
			return i + 1
		}
	}
	return len(s)
}
