package ground

import (
	"context"
	"strings"
	"time"

	"inktally/core/fault"
	"inktally/internal/fetch"
)

// secureWait is for how long a site is waited for that may answer by https.
const secureWait = 5 * time.Second

// secured returns the address of a site as it is to be read: one that was typed without a scheme is tried by https
// first. What does not answer there stays as it was typed, which is by http.
func (g *Ground) secured(ctx context.Context, typed string) string {
	address, err := fetch.Address(typed)
	if err != nil || strings.Contains(typed, "://") || g.Readings.Web == nil {
		return typed
	}
	ctx, cancel := context.WithTimeout(ctx, secureWait)
	defer cancel()
	secure := "https" + strings.TrimPrefix(address, "http")
	_, err = g.Readings.Web.Get(ctx, fetch.Request{Address: secure})
	if reason, known := fault.Of(err); err == nil || known && reason.Code == fetch.SiteAnswered.Code {
		return secure // also where it answers that there is no such page
	}
	return typed
}
