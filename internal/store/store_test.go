package store

import (
	"context"
	"errors"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/target"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func opened(t *testing.T) *DB {
	db, err := Open(context.Background(), filepath.Join(t.TempDir(), "it's a file.db"))
	require.NoError(t, err)
	t.Cleanup(func() { assert.NoError(t, db.Close()) })
	return db
}

func write(t *testing.T, db *DB, f func(*Tx) error) {
	require.NoError(t, db.Write(context.Background(), f))
}

func addClient(t *testing.T, db *DB) (id int64) {
	write(t, db, func(tx *Tx) (err error) {
		id, err = tx.AddClient(Client{Name: "Brindle & Ash", CreatedAt: time.Unix(1e9, 0)})
		return err
	})
	return id
}

func TestGroundIsKept(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true, Spellings: []string{"Tarn Harbour", "T. Harbor"}}, {Name: "Ostrey"}}
	services := []phrase.Service{{Name: "sweep", Words: []string{"cleaning", "brushing"}, Worth: 240}, {Name: "line"}}
	write(t, db, func(tx *Tx) error {
		_, err := tx.AddPage(Page{ClientID: id, Kind: target.Home, URL: "http://brindleandash.example/"})
		return errors.Join(err, tx.SetServices(id, []phrase.Service{{Name: "sweep"}, {Name: "line"}}), tx.SetPlaces(id, places),
			tx.SetPhrases(id, []string{"b", "a"}), tx.SetHours(id, 2.5), tx.SetServices(id, services))
	})
	var g Ground
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) (err error) { g, err = tx.Ground(id); return err }))
	assert.Equal(t, services, g.Services)
	assert.Equal(t, places, g.Places)
	assert.Equal(t, []string{"b", "a"}, g.Phrases)
	assert.InDelta(t, 2.5, g.Client.Hours, 0)
	assert.Equal(t, int64(1e9), g.Client.CreatedAt.Unix())
	assert.Len(t, g.Pages, 1)
}

func TestFailedWriteKeepsNothing(t *testing.T) {
	db := opened(t)
	broken := errors.New("broken")
	err := db.Write(context.Background(), func(tx *Tx) error {
		_, err := tx.AddClient(Client{Name: "x"})
		return errors.Join(err, broken)
	})
	assert.ErrorIs(t, err, broken)
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		list, err := tx.Clients()
		assert.Empty(t, list)
		return err
	}))
	assert.Error(t, db.Read(context.Background(), func(tx *Tx) error {
		_, err := tx.AddClient(Client{Name: "x"})
		return err
	}), "readers cannot write")
}

func TestReadings(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	html := strings.Repeat("<p>the same words</p>", 5000)
	add := func(url, body string) (reading int64) {
		write(t, db, func(tx *Tx) (err error) {
			reading, err = tx.AddReading(Reading{ClientID: id, URL: url, FinalURL: url + "x", Road: "web", TakenAt: time.Now(), Facts: "{}"}, []byte(body))
			return err
		})
		return reading
	}
	add("http://a.example/", "old")
	b := add("http://b.example/", html)
	a := add("http://a.example/", "new")
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		latest, err := tx.LatestReadings(id)
		require.NoError(t, err)
		assert.Equal(t, a, latest["http://a.example/"].ID)
		assert.Equal(t, b, latest["http://b.example/"].ID)
		kept, err := tx.ReadingHTML(b)
		assert.Equal(t, html, string(kept))
		n, _ := tx.CountReadings(id)
		assert.Equal(t, 3, n)
		_, other := tx.Reading(id+1, a)
		assert.ErrorIs(t, other, ErrNotFound, "another client's reading")
		return err
	}))
}

// An id is never used twice: what is kept in memory by id stays right.
func TestIDsAreNotReused(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	var first, second int64
	write(t, db, func(tx *Tx) (err error) {
		first, err = tx.AddReading(Reading{ClientID: id, URL: "u"}, []byte("x"))
		return errors.Join(err, tx.DeleteClient(id))
	})
	id2 := addClient(t, db)
	assert.Greater(t, id2, id)
	write(t, db, func(tx *Tx) (err error) {
		second, err = tx.AddReading(Reading{ClientID: id2, URL: "u"}, []byte("x"))
		return err
	})
	assert.Greater(t, second, first)
}

func TestJobsAndChoices(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	var page int64
	write(t, db, func(tx *Tx) (err error) {
		page, err = tx.AddPage(Page{ClientID: id, Kind: target.Home})
		require.NoError(t, err)
		job, err := tx.AddJob(Job{ClientID: id, Items: []JobItem{{Name: "a", URL: "u"}, {Name: "b", URL: "v"}}})
		require.NoError(t, err)
		require.NoError(t, tx.SetItem(job, JobItem{Position: 0, State: ItemDone}))
		require.NoError(t, tx.SetItem(job, JobItem{Position: 1, State: ItemReading}))
		running, err := tx.RunningJobs()
		assert.Equal(t, []int64{job}, running)
		require.NoError(t, tx.EndJob(job, JobBrokenOff, time.Now()))
		last, err := tx.LastJob(id)
		assert.Equal(t, JobBrokenOff, last.State)
		assert.Equal(t, []string{ItemDone, ItemWaiting}, []string{last.Items[0].State, last.Items[1].State})
		return err
	})
	write(t, db, func(tx *Tx) error {
		require.NoError(t, tx.SetChoice(page, "title: x", target.Choice{State: target.Dropped, Reason: "no"}))
		require.NoError(t, tx.SetChoice(page, "h1: x", target.Choice{State: target.Kept}))
		require.NoError(t, tx.SetChoice(page, "h1: x", target.Choice{State: target.Open}))
		choices, err := tx.Choices(page)
		assert.Equal(t, map[string]target.Choice{"title: x": {State: target.Dropped, Reason: "no"}}, choices)
		return err
	})
	write(t, db, func(tx *Tx) error { return tx.DeleteClient(id) })
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		choices, err := tx.Choices(page)
		assert.Empty(t, choices, "what belongs to a client goes with it")
		return err
	}))
}
