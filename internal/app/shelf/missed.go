package shelf

import (
	"context"
	"errors"
	"sync"
	"time"

	"inktally/core/reach"
	"inktally/internal/store"
	"inktally/internal/study/reached"
	"inktally/internal/view/told"
)

// missedTime bounds how long the visits that clients miss are worked out before what there is is told.
const missedTime = time.Second

// remembered are the figures that were worked out, by client.
type remembered struct {
	mu   sync.Mutex
	list map[int64]figure
}

// figure is what a client misses as of a revision, nil if it is not known.
type figure struct {
	revision int64
	missed   *float64
}

// Missed returns what each client misses of visits of those ready to hire (rule 14.1). It works as long as it may, and
// tells whether there is more to ask for.
func (s *Shelf) Missed(ctx context.Context) (*told.MissedOfAll, error) {
	names, err := s.Names(ctx)
	if err != nil {
		return nil, err
	}
	out := &told.MissedOfAll{Clients: []told.MissedOf{}}
	start := time.Now()
	for _, n := range names {
		of, err := s.missed(ctx, n.ID, time.Since(start) < missedTime)
		switch {
		case errors.Is(err, store.ErrNoClient), errors.Is(err, store.ErrNotFound):
			continue // it went meanwhile
		case errors.Is(err, errLater):
			out.Rest = true
		case err != nil:
			return nil, err
		default:
			out.Clients = append(out.Clients, told.MissedOf{Client: n.ID, Missed: of})
		}
	}
	return out, nil
}

// errLater says that a figure was not worked out yet.
var errLater = errors.New("later")

// missed returns the figure of a client: the one that is remembered, else worked out if it may be now.
func (s *Shelf) missed(ctx context.Context, client int64, now bool) (*float64, error) {
	var revision store.Revision
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		revision, err = tx.Revision(client)
		return err
	})
	if err != nil {
		return nil, err
	}
	s.known.mu.Lock()
	had, ok := s.known.list[client]
	s.known.mu.Unlock()
	if ok && had.revision == revision.Number {
		return had.missed, nil
	}
	if !now {
		return nil, errLater
	}
	known, err := s.Studies.Of(ctx, client)
	if err != nil {
		return nil, err
	}
	is := figure{revision: known.Revision.Number}
	if sites := reached.Of(known); sites.Client().Known {
		missed := reach.Missed(sites.Rows, sites.Own())
		is.missed = &missed
	}
	s.known.mu.Lock()
	defer s.known.mu.Unlock()
	if s.known.list == nil {
		s.known.list = map[int64]figure{}
	}
	s.known.list[client] = is
	return is.missed, nil
}
