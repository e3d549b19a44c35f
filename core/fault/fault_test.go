package fault

import (
	"errors"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestFault(t *testing.T) {
	cause := errors.New("connection reset")
	f := New(SiteAnswered, "shop.example", 500, "internal server error").Because(cause)
	assert.Equal(t, map[string]string{"host": "shop.example", "status": "500", "says": "internal server error"},
		f.Params)
	wrapped := fmt.Errorf("reading: %w", f)
	got, ok := Of(wrapped)
	assert.True(t, ok)
	assert.Same(t, f, got)
	assert.True(t, Is(wrapped, SiteAnswered))
	assert.False(t, Is(wrapped, NoSuchSite))
	assert.False(t, Is(cause, SiteAnswered))
	assert.ErrorIs(t, wrapped, cause)
	assert.Equal(t, `site_answered host="shop.example" status="500" says="internal server error": connection reset`,
		f.Error())
	assert.Len(t, []rune(New(AddressBad, strings.Repeat("é", 500)).Params["address"]), longest+1)
	assert.Panics(t, func() { New(SiteAnswered, "shop.example") })
}

func TestCodes(t *testing.T) {
	codes := Codes()
	assert.Greater(t, len(codes), 80)
	for _, code := range codes {
		assert.Regexp(t, `^[a-z]+(_[a-z]+)*$`, string(code))
	}
}
