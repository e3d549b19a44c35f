// Package gate lets in who has the token of the program, slows down who guesses, and waits for nobody for ever: what a
// request may take to come and an answer to be taken is bounded, and so are the connections of an address.
//
// In go tokens and connections, by who shows and opens them; out comes who is let in.
package gate

import (
	"context"
	"crypto/sha256"
	"crypto/subtle"
	"sync"
	"time"
)

// Sum returns what is kept of a token.
func Sum(token string) []byte {
	sum := sha256.Sum256([]byte(token))
	return sum[:]
}

const (
	free     = 3                      // wrong tokens of one address that cost nothing
	first    = 250 * time.Millisecond // what the next one waits, twice as long each time
	longest  = 8 * time.Second
	forgiven = 10 * time.Minute
	mostKept = 10_000
)

// Gate knows the sum of a token.
type Gate struct {
	sum []byte
	now func() time.Time

	mu    sync.Mutex
	wrong map[string]guesses // by address
}

type guesses struct {
	n    int
	last time.Time
}

// New returns a gate for the sum of a token; without one everybody is let in.
func New(sum []byte) *Gate { return &Gate{sum: sum, now: time.Now, wrong: map[string]guesses{}} }

// Open reports whether there is no token.
func (g *Gate) Open() bool { return len(g.sum) == 0 }

// Fits reports whether a token fits. Whoever showed several that did not waits before the next is looked at, the right
// one too.
func (g *Gate) Fits(ctx context.Context, address, token string) bool {
	if wait := g.wait(address); wait > 0 {
		pause := time.NewTimer(wait)
		defer pause.Stop()
		select {
		case <-pause.C:
		case <-ctx.Done():
			return false
		}
	}
	fits := subtle.ConstantTimeCompare(Sum(token), g.sum) == 1
	g.note(address, fits || token == "")
	return fits
}

// wait returns how long an address waits.
func (g *Gate) wait(address string) time.Duration {
	g.mu.Lock()
	defer g.mu.Unlock()
	had := g.wrong[address]
	if had.n < free || g.now().Sub(had.last) > forgiven {
		return 0
	}
	return min(longest, first<<min(had.n-free, 6))
}

// note notes a token that was looked at; one that was none is no guess.
func (g *Gate) note(address string, fits bool) {
	g.mu.Lock()
	defer g.mu.Unlock()
	if fits {
		return // and what was guessed before is not forgiven by it: it may be another's
	}
	had := g.wrong[address]
	if g.now().Sub(had.last) > forgiven {
		had.n = 0
	}
	if len(g.wrong) >= mostKept {
		clear(g.wrong)
	}
	g.wrong[address] = guesses{had.n + 1, g.now()}
}

// Page asks for the token.
const Page = `<!doctype html><html lang="en"><meta charset="utf-8"><title>Ink Tally</title>
<body style="font:16px/1.5 sans-serif;margin:12vh auto;max-width:420px"><h1>Ink Tally</h1>
<form method="post"><label>Token, as it was printed at the first start<br><input name="token" type="password" autofocus style="font:inherit;width:100%"></label>
<p><button style="font:inherit">Sign in</button></form>`
