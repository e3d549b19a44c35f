package main

import (
	"regexp"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/internal/wording"

	"github.com/stretchr/testify/assert"
)

// Here all kinds of faults are defined: each has its sentence, at most two with what it goes on
// with, all its parameters in place and no other, ending as sentences do; and no sentence is left
// of a kind that is no more.
func TestEveryFaultIsWorded(t *testing.T) {
	codes := fault.Codes()
	assert.Greater(t, len(codes), 130)
	assert.Equal(t, codes, wording.Faults())
	for _, code := range codes {
		t.Run(string(code), func(t *testing.T) {
			assert.Regexp(t, `^[a-z]+(_[a-z]+)*$`, string(code))
			f := &fault.Fault{Code: code, Params: map[string]string{}}
			for _, name := range fault.Params(code) {
				f.Params[name] = "wert"
			}
			sentence := wording.Fault(f.Around(fault.GivenUp.New())) // for those that go on with one
			assert.NotEmpty(t, sentence)
			assert.NotRegexp(t, `[{}\n]`, sentence)
			assert.Equal(t, len(f.Params), strings.Count(sentence, "wert"), sentence)
			assert.Regexp(t, `[.?]$`, sentence)
			ends := regexp.MustCompile(`[.?] [A-Z“]|[.?]$`).FindAllString(sentence, -1)
			assert.LessOrEqual(t, len(ends), 3, sentence)
		})
	}
}
