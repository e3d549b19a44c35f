package text

import "math/bits"

// Eight bytes of a text are looked at together, as one number: pages are mostly
// made of short lower-case words, and of those most of the time goes into
// going over their letters.
const (
	ones  = 0x0101010101010101
	highs = 0x8080808080808080
)

// eight returns the bytes s[i:i+8] as a number, the first one lowest.
func eight(s string, i int) uint64 {
	s = s[i : i+8]
	return uint64(s[0]) | uint64(s[1])<<8 | uint64(s[2])<<16 | uint64(s[3])<<24 |
		uint64(s[4])<<32 | uint64(s[5])<<40 | uint64(s[6])<<48 | uint64(s[7])<<56
}

// within marks by its high bit each byte from lo to hi; x holds only ASCII.
func within(x uint64, lo, hi byte) uint64 {
	return (x + ones*uint64(0x80-lo)) &^ (x + ones*uint64(0x7f-hi)) & highs
}

// lowerRun returns how many bytes from s[i] on are lower-case ASCII letters or
// digits, at most so many as can be told at once; n is 8 if all are.
func lowerRun(s string, i int) (n int) {
	x := eight(s, i)
	wide := x & highs
	plain := x &^ highs
	other := ^(within(plain, 'a', 'z')|within(plain, '0', '9'))&highs | wide
	return bits.TrailingZeros64(other) / 8
}

// CollapsedLen returns the length of the longest start of s that is the same after
// white space is collapsed: ASCII with one blank between words.
func CollapsedLen(s string) int {
	end, i := 0, 0
	for i+8 <= len(s) {
		x := eight(s, i)
		if x&highs != 0 || (x-ones*' ')&highs != 0 {
			break // beyond ASCII, or a control character
		}
		blanks := (x ^ ones*' ')
		blanks = (blanks - ones) &^ blanks & highs // exact up to the first blank, and for all in ASCII
		if blanks&(blanks<<8) != 0 || blanks&0x80 != 0 && end != i || blanks&0x80 != 0 && i == 0 {
			break
		}
		i += 8
		end = i
		if blanks>>63 != 0 {
			end--
		}
	}
	for ; i < len(s); i++ {
		c := s[i]
		if c > ' ' && c < 0x80 {
			end = i + 1
			continue
		}
		if c != ' ' || end != i || i == 0 {
			break
		}
	}
	return end
}
