// Package part has what is made when it is first asked for, once however many ask.
package part

import (
	"context"
	"fmt"
	"runtime/debug"
	"sync"
)

// Of is a part of something that is never changed. One that could not be made is made again
// when it is asked for again.
type Of[T any] struct {
	mu    sync.Mutex
	made  bool
	value T
	under *making[T] // nil if nobody waits for it
}

// making is a part that is being made.
type making[T any] struct {
	done     chan struct{}
	end      context.CancelFunc
	waiting  int // how many wait for it
	value    T
	err      error
	panicked error
}

// Get returns the part, which work makes if it was not made yet. Who gives up does not keep it
// from the others: the context of work ends when the last of those who wait has left.
func (p *Of[T]) Get(ctx context.Context, work func(context.Context) (T, error)) (T, error) {
	p.mu.Lock()
	if p.made {
		defer p.mu.Unlock()
		return p.value, nil
	}
	if p.under == nil {
		p.begin(ctx, work)
	}
	m := p.under
	m.waiting++
	p.mu.Unlock()
	select {
	case <-m.done:
		if m.panicked != nil {
			panic(m.panicked)
		}
		return m.value, m.err
	case <-ctx.Done():
		p.leave(m)
		var none T
		return none, ctx.Err()
	}
}

// begin begins to make the part; the lock is held.
func (p *Of[T]) begin(ctx context.Context, work func(context.Context) (T, error)) {
	m := &making[T]{done: make(chan struct{})}
	ctx, m.end = context.WithCancel(context.WithoutCancel(ctx))
	p.under = m
	go func() {
		defer m.end()
		defer close(m.done)
		defer p.keep(m)
		defer func() {
			if failure := recover(); failure != nil { // it is told to those who wait
				m.panicked = fmt.Errorf("%v\n%s", failure, debug.Stack())
			}
		}()
		m.value, m.err = work(ctx)
	}()
}

// keep keeps what was made.
func (p *Of[T]) keep(m *making[T]) {
	p.mu.Lock()
	defer p.mu.Unlock()
	if p.under == m {
		p.under = nil
	}
	if m.err == nil && m.panicked == nil && !p.made {
		p.value, p.made = m.value, true
	}
}

// leave has one less wait for it; nobody joins what nobody waits for.
func (p *Of[T]) leave(m *making[T]) {
	p.mu.Lock()
	defer p.mu.Unlock()
	if m.waiting--; m.waiting == 0 {
		m.end()
		if p.under == m {
			p.under = nil
		}
	}
}
