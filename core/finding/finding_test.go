package finding

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Each type has one row, is shown somewhere, and those that are fixed before all else come first
// in the list that an owner hears.
func TestRules(t *testing.T) {
	seen := map[Type]bool{}
	for _, r := range rules {
		assert.False(t, seen[r.Type], "%s has two rows", r.Type)
		seen[r.Type] = true
		assert.NotZero(t, r.Shown, r.Type)
		assert.Equal(t, r, RuleOf(r.Type))
	}
	for _, in := range []Shown{OnPage, OnSite, Unsurveyed, InDraft} {
		first := true
		for _, typ := range TypesShown(in) {
			assert.True(t, first || !typ.First(), "%s comes behind what is less grave", typ)
			first = typ.First()
		}
	}
	assert.Len(t, Types(), len(rules))
	assert.False(t, Type("no such").First())
	assert.False(t, Type("no such").Shows(OnSite|OnPage))
	assert.Empty(t, (&Finding{}).Text())
}
