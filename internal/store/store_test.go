package store

import (
	"context"
	"errors"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/reading"
	"inktally/core/site"
	"inktally/core/target"
	"inktally/core/yardstick"

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
	services := []intent.Service{{Name: "sweep", Words: []string{"cleaning", "brushing"}, Worth: 240}, {Name: "line"}}
	write(t, db, func(tx *Tx) error {
		home, err := tx.AddPage(Page{ClientID: id, Kind: site.Home, URL: "http://brindleandash.example/"})
		return errors.Join(err, tx.SetServices(id, []intent.Service{{Name: "sweep"}, {Name: "line"}}), tx.SetPlaces(id, places),
			tx.SetTyped(id, home, []string{"b", "a"}), tx.SetHours(id, 2.5), tx.SetServices(id, services))
	})
	var g Ground
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) (err error) { g, err = tx.Ground(id); return err }))
	assert.Equal(t, services, g.Services)
	assert.Equal(t, places, g.Places)
	assert.Equal(t, []TypedPhrase{{g.Pages[0].ID, "b"}, {g.Pages[0].ID, "a"}}, g.Typed)
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
	html := strings.Repeat("<p>the same <a href=/x aria-label=X>words</a></p><img src=a.jpg alt=b>", 5000)
	add := func(url, body string) (id64 int64) {
		p := page.Read([]byte(body), page.Source{URL: url})
		write(t, db, func(tx *Tx) (err error) {
			id64, err = tx.AddReading(Reading{ClientID: id, URL: url, FinalURL: url + "x", Source: reading.FromWeb, TakenAt: time.Now(),
				Facts: reading.FactsOf(p), Note: fault.New(fault.TakenAsServed).Around(fault.New(fault.NoBrowser))}, []byte(body), p.Data())
			return err
		})
		return id64
	}
	add("http://a.example/", "old")
	b := add("http://b.example/", html)
	a := add("http://a.example/", "new")
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		latest, err := tx.LatestReadings(id)
		require.NoError(t, err)
		assert.Equal(t, a, latest["http://a.example/"].ID)
		assert.Equal(t, b, latest["http://b.example/"].ID)
		assert.Equal(t, page.Words{Seen: 15000, Copy: 15000}, latest["http://b.example/"].Facts.Words)
		assert.Equal(t, fault.NoBrowser, latest["http://b.example/"].Note.Inner.Code)
		kept, err := tx.ReadingHTML(b)
		require.NoError(t, err)
		assert.Equal(t, html, string(kept))
		data, err := tx.ReadingPage(b)
		require.NoError(t, err)
		want := page.Read([]byte(html), page.Source{URL: "http://b.example/"}).Data()
		assert.Equal(t, want, data, "what was read of a page is kept whole")
		_, other := tx.Reading(id+1, a)
		assert.ErrorIs(t, other, ErrNotFound, "another client's reading")
		return err
	}))
	_, err := db.writer.Exec(`UPDATE readings SET rules = rules - 1 WHERE id = ?`, b)
	require.NoError(t, err)
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		data, err := tx.ReadingPage(b)
		assert.Nil(t, data, "by other rules it is not taken")
		return err
	}))
}

// Whatever figures of a client are worked out from raises its revision; what it
// has nothing to do with does not.
func TestRevision(t *testing.T) {
	db := opened(t)
	id, other := addClient(t, db), addClient(t, db)
	var home int64
	write(t, db, func(tx *Tx) (err error) { home, err = tx.AddPage(Page{ClientID: id, Kind: site.Home}); return err })
	revision := func(of int64) (n int64) {
		require.NoError(t, db.Read(context.Background(), func(tx *Tx) (err error) { n, err = tx.Revision(of); return err }))
		return n
	}
	empty := page.Read(nil, page.Source{})
	for name, change := range map[string]func(*Tx) error{
		"services": func(tx *Tx) error { return tx.SetServices(id, []intent.Service{{Name: "sweep"}}) },
		"places":   func(tx *Tx) error { return tx.SetPlaces(id, []place.Place{{Name: "Ostrey"}}) },
		"typed":    func(tx *Tx) error { return tx.SetTyped(id, home, []string{"a"}) },
		"page":     func(tx *Tx) error { return tx.SetPageURL(home, "http://a.example/") },
		"entry":    func(tx *Tx) error { _, err := tx.AddEntry(Entry{ClientID: id}); return err },
		"reading": func(tx *Tx) error {
			_, err := tx.AddReading(Reading{ClientID: id, URL: "u"}, nil, empty.Data())
			return err
		},
		"language": func(tx *Tx) error { return tx.UpdateClient(Client{ID: id, Name: "x", Language: "fr"}) },
		"lists":    func(tx *Tx) error { return tx.SetLists(id, &intent.Lists{Hire: []string{"now"}}) },
		"figure":   func(tx *Tx) error { return tx.SetFigure(id, "words.step", "10") },
		"word":     func(tx *Tx) error { return tx.SetBookWord(id, BookWord{Word: "a", Verdict: "brand"}) },
	} {
		t.Run(name, func(t *testing.T) {
			before, beside := revision(id), revision(other)
			write(t, db, change)
			assert.Greater(t, revision(id), before, name)
			assert.Equal(t, beside, revision(other), name)
		})
	}
	before, beside := revision(id), revision(other)
	write(t, db, func(tx *Tx) error { return tx.SetHours(id, 9) })
	assert.Equal(t, before, revision(id), "hours decide no figure")
	write(t, db, func(tx *Tx) error { return tx.SetFigure(0, "words.step", "20") })
	assert.Greater(t, revision(id), before, "those of the workspace are everybody's")
	assert.Greater(t, revision(other), beside)

	stale := func() (ids []int64) {
		require.NoError(t, db.Read(context.Background(), func(tx *Tx) (err error) { ids, err = tx.StaleClients(0); return err }))
		return ids
	}
	assert.ElementsMatch(t, []int64{id, other}, stale())
	write(t, db, func(tx *Tx) error {
		return tx.SetFigures(ClientFigures{ClientID: id, Lead: "a", Pages: []PageFigures{{PageID: home, ToWrite: 7}}}, revision(id))
	})
	assert.Equal(t, []int64{other}, stale())
}

// Figures of the yardstick are kept by their keys, those of a client beside
// those of the workspace.
func TestYardstickFigures(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	write(t, db, func(tx *Tx) error {
		return errors.Join(tx.SetFigure(0, "words.step", "10"), tx.SetFigure(id, "words.step", "20"), tx.SetFigure(0, "words.step", "30"),
			tx.SetFigure(id, "lineup.most", "5"), tx.SetFigure(id, "lineup.most", ""))
	})
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		workspace, err := tx.YardstickChanges(0)
		require.NoError(t, err)
		assert.Equal(t, yardstick.Changes{"words.step": "30"}, workspace)
		own, err := tx.YardstickChanges(id)
		assert.Equal(t, yardstick.Changes{"words.step": "20"}, own)
		return err
	}))
}

// An id is never used twice: what is kept in memory by id stays right.
func TestIDsAreNotReused(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	var first, second int64
	write(t, db, func(tx *Tx) (err error) {
		first, err = tx.AddReading(Reading{ClientID: id, URL: "u"}, []byte("x"), page.Read(nil, page.Source{}).Data())
		return errors.Join(err, tx.DeleteClient(id))
	})
	id2 := addClient(t, db)
	assert.Greater(t, id2, id)
	write(t, db, func(tx *Tx) (err error) {
		second, err = tx.AddReading(Reading{ClientID: id2, URL: "u"}, []byte("x"), page.Read(nil, page.Source{}).Data())
		return err
	})
	assert.Greater(t, second, first)
}

func TestJobsAndChoices(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	write(t, db, func(tx *Tx) (err error) {
		job, err := tx.AddJob(Job{ClientID: id, Items: []JobItem{{Name: "a", URL: "u"}, {Name: "b", URL: "v"}}})
		require.NoError(t, err)
		require.NoError(t, tx.SetItem(job, JobItem{Position: 0, State: ItemDone}))
		require.NoError(t, tx.SetItem(job, JobItem{Position: 1, State: ItemReading}))
		running, err := tx.RunningJobs()
		assert.Equal(t, []int64{job}, running)
		require.NoError(t, tx.EndJob(job, JobInterrupted, time.Now()))
		last, err := tx.LastJob(id)
		assert.Equal(t, JobInterrupted, last.State)
		assert.Equal(t, []string{ItemDone, ItemWaiting}, []string{last.Items[0].State, last.Items[1].State})
		return err
	})
	write(t, db, func(tx *Tx) error {
		require.NoError(t, tx.SetChoice(id, "p1", "title: x", target.Choice{State: target.Dropped, Reason: "no"}))
		require.NoError(t, tx.SetChoice(id, "p1", "h1: x", target.Choice{State: target.Kept}))
		require.NoError(t, tx.SetChoice(id, "p1", "h1: x", target.Choice{State: target.Open}))
		choices, err := tx.Choices(id)
		assert.Equal(t, map[string]target.Choice{target.ChoiceKey("p1", "title: x"): {State: target.Dropped, Reason: "no"}}, choices)
		return err
	})
	write(t, db, func(tx *Tx) error { return tx.DeleteClient(id) })
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		choices, err := tx.Choices(id)
		assert.Empty(t, choices, "what belongs to a client goes with it")
		return err
	}))
}

// What the user changed of plans is kept whole, and goes with the client.
func TestOutlinesAndOwnTargets(t *testing.T) {
	db := opened(t)
	id, words := addClient(t, db), 120
	edits := outline.Edits{Order: []string{"lead", "about"}, Alone: true, Sections: map[string]outline.SectionEdit{
		"about": {Heading: "Who we are", Words: &words}, "towns": {Dropped: true, Words: new(int)}}}
	var own int64
	write(t, db, func(tx *Tx) (err error) {
		require.NoError(t, tx.SetOutline(id, "p1", edits))
		require.NoError(t, tx.SetOutline(id, "p2", edits))
		require.NoError(t, tx.SetOutline(id, "p2", outline.Edits{}))
		own, err = tx.AddOwnTarget(id, target.Own{Page: "p1", Text: "Ask for a photo", Minutes: 10})
		return err
	})
	write(t, db, func(tx *Tx) error {
		outlines, err := tx.Outlines(id)
		require.NoError(t, err)
		assert.Equal(t, map[string]outline.Edits{"p1": edits}, outlines)
		list, err := tx.OwnTargets(id)
		require.NoError(t, err)
		assert.Equal(t, []target.Own{{ID: own, Page: "p1", Text: "Ask for a photo", Minutes: 10}}, list)
		require.ErrorIs(t, tx.DeleteOwnTarget(id+1, own), ErrNotFound)
		require.NoError(t, tx.DeleteOwnTarget(id, own))
		again, err := tx.AddOwnTarget(id, list[0])
		assert.Equal(t, own, again, "undone under its id")
		return err
	})
	write(t, db, func(tx *Tx) error { return tx.DeleteClient(id) })
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		outlines, err := tx.Outlines(id)
		assert.Empty(t, outlines)
		return err
	}))
}
