// Package part has what is made when it is first asked for, once however many ask.
package part

import (
	"context"
	"sync"
)

// Of is a part of something that is never changed. One that could not be made is made again
// when it is asked for again.
type Of[T any] struct {
	mu    sync.Mutex
	made  bool
	value T
}

// Get returns the part, which work makes if it was not made yet. Who gives up does not keep it
// from the others: it is made to the end.
func (p *Of[T]) Get(ctx context.Context, work func(context.Context) (T, error)) (T, error) {
	p.mu.Lock()
	defer p.mu.Unlock()
	if p.made {
		return p.value, nil
	}
	value, err := work(context.WithoutCancel(ctx))
	if err == nil {
		p.value, p.made = value, true
	}
	return value, err
}
