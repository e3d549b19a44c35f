package fault

import (
	"errors"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

var (
	answered = Define3("trial_answered", "host", "status", "says")
	unknown  = Define1("trial_unknown", "address")
	other    = Define0("trial_other")
)

func TestFault(t *testing.T) {
	cause := errors.New("connection reset")
	f := answered.New("shop.example", 500, "internal server error").Because(cause)
	assert.Equal(t, map[string]string{"host": "shop.example", "status": "500", "says": "internal server error"},
		f.Params)
	wrapped := fmt.Errorf("reading: %w", f)
	got, ok := Of(wrapped)
	assert.True(t, ok)
	assert.Same(t, f, got)
	assert.True(t, answered.Is(wrapped))
	assert.True(t, Is(wrapped, answered.Code))
	assert.False(t, other.Is(wrapped))
	assert.False(t, answered.Is(cause))
	assert.ErrorIs(t, wrapped, cause)
	assert.Equal(t, `trial_answered host="shop.example" status="500" says="internal server error": connection reset`,
		f.Error())
	assert.Len(t, []rune(unknown.New(strings.Repeat("é", 500)).Params["address"]), longest+1)
	assert.Contains(t, Codes(), unknown.Code)
	assert.Equal(t, []string{"address"}, Params(unknown.Code))
	assert.Panics(t, func() { Define0("trial_other") }, "a code names one kind")
}
