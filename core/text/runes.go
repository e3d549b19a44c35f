package text

import (
	"sync/atomic"
	"unicode"
	"unicode/utf8"

	"golang.org/x/text/unicode/norm"
)

// traits are what a character is to the scanner.
type traits uint8

const (
	runeBlank    traits = 1 << iota // any Unicode space
	runeAlnum                       // a letter or a decimal digit
	runeUnspaced                    // a letter of a script without spaces
	runeMark
	runeFolded // folds to itself
)

// runeBlocks are those of the basic plane in blocks of 256, each worked out when
// it is first met: looking a character up in the tables of Unicode takes as
// long as all else that is done with it.
var runeBlocks [256]atomic.Pointer[[256]traits]

func traitsOf(r rune) traits {
	if r > 0xFFFF {
		return findTraits(r)
	}
	block := runeBlocks[r>>8].Load()
	if block == nil {
		block = new([256]traits)
		for i := range block {
			block[i] = findTraits(r&^0xFF | rune(i))
		}
		runeBlocks[r>>8].Store(block)
	}
	return block[r&0xFF]
}

func findTraits(r rune) (is traits) {
	set := func(c traits, yes bool) {
		if yes {
			is |= c
		}
	}
	set(runeBlank, unicode.IsSpace(r))
	set(runeAlnum, isAlnum(r))
	set(runeUnspaced, unicode.IsLetter(r) && unicode.In(r, unspaced...))
	set(runeMark, unicode.IsMark(r))
	set(runeFolded, r != 'ß' && r != 'ς' && unicode.ToLower(r) == r &&
		norm.NFD.PropertiesString(string(r)).Decomposition() == nil)
	return is
}

// isAlnum reports whether a rune is a letter or a decimal digit.
func isAlnum(r rune) bool {
	if r < utf8.RuneSelf {
		return r >= 0 && classes[r] <= upper
	}
	return r != utf8.RuneError && (unicode.IsLetter(r) || unicode.IsDigit(r))
}
