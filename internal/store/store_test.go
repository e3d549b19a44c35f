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
	"inktally/core/plan"
	"inktally/core/reading"
	"inktally/core/site"
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
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true,
		Spellings: []string{"Tarn Harbour", "T. Harbor"}}, {Name: "Ostrey"}}
	services := []intent.Service{{Name: "sweep", Words: []string{"cleaning", "brushing"}, Worth: 240}, {Name: "line"}}
	write(t, db, func(tx *Tx) error {
		home, err := tx.AddPage(Page{ClientID: id, Kind: site.Home, URL: "http://brindleandash.example/"})
		return errors.Join(err, tx.SetServices(id, []intent.Service{{Name: "sweep"}, {Name: "line"}}),
			tx.SetPlaces(id, places),
			tx.SetTyped(id, home, []string{"b", "a"}), tx.SetHours(id, 2.5), tx.SetServices(id, services))
	})
	var g Ground
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) (err error) { g, err = tx.Ground(id); return err }))
	assert.Equal(t, services, g.Services)
	assert.Equal(t, places, g.Places)
	assert.Equal(t, []TypedPhrase{{g.Pages[0].ID, "b"}, {g.Pages[0].ID, "a"}}, g.Typed)
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
			id64, err = tx.AddReading(Reading{ClientID: id, URL: url, FinalURL: url + "x", Source: reading.FromWeb,
				TakenAt: time.Now(),
				Facts:   reading.FactsOf(p),
				Note:    (&fault.Fault{Code: "taken_as_served"}).Around(&fault.Fault{Code: "no_browser"})},
				[]byte(body), p.Data())
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
		assert.Equal(t, fault.Code("no_browser"), latest["http://b.example/"].Note.Inner.Code)
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

// A write raises the revision of its client once, and tells which facets changed; what nothing
// is made from raises none.
func TestRevision(t *testing.T) {
	db := opened(t)
	id, other := addClient(t, db), addClient(t, db)
	var home, job int64
	write(t, db, func(tx *Tx) (err error) { home, err = tx.AddPage(Page{ClientID: id, Kind: site.Home}); return err })
	write(t, db, func(tx *Tx) (err error) { job, err = tx.AddJob(Job{ClientID: id, Items: []JobItem{{}}}); return err })
	revision := func(of int64) (r Revision) {
		require.NoError(t, db.Read(context.Background(), func(tx *Tx) (err error) {
			r, err = tx.Revision(of)
			return err
		}))
		return r
	}
	empty := page.Read(nil, page.Source{})
	for name, c := range map[string]struct {
		facet  Facet
		change func(*Tx) error
	}{
		"services": {FacetGround, func(tx *Tx) error {
			return tx.SetServices(id, []intent.Service{{Name: "sweep"}, {Name: "line"}})
		}},
		"places": {FacetGround, func(tx *Tx) error { return tx.SetPlaces(id, []place.Place{{Name: "Ostrey"}}) }},
		"typed":  {FacetGround, func(tx *Tx) error { return tx.SetTyped(id, home, []string{"a"}) }},
		"page":   {FacetGround, func(tx *Tx) error { return tx.SetPageURL(id, home, "http://a.example/") }},
		"language": {FacetGround, func(tx *Tx) error {
			return tx.UpdateClient(Client{ID: id, Name: "x", Language: "fr"})
		}},
		"lists": {FacetGround, func(tx *Tx) error {
			return tx.SetLists(id, &intent.Lists{Hire: []string{"now"}})
		}},
		"entry":  {FacetLineups, func(tx *Tx) error { _, err := tx.AddEntry(Entry{ClientID: id}); return err }},
		"figure": {FacetYardstick, func(tx *Tx) error { return tx.SetFigure(id, "words.step", "10") }},
		"word": {FacetBook, func(tx *Tx) error {
			return tx.SetBookWord(id, BookWord{Word: "a", Verdict: "brand"})
		}},
		"like": {FacetSurveyed, func(tx *Tx) error {
			return tx.SetLikeChoice(id, home, "b.example", new(string))
		}},
		"a failed page": {FacetReadings, func(tx *Tx) error { return tx.SetItem(id, job, JobItem{State: ItemFailed}) }},
		"hours":         {FacetSaid, func(tx *Tx) error { return tx.SetHours(id, 9) }},
		"choice": {FacetSaid, func(tx *Tx) error {
			return tx.SetChoice(id, home, "x", plan.Choice{State: plan.Kept})
		}},
		"site figure": {FacetStanding, func(tx *Tx) error {
			return tx.Put(id, FacetStanding, `INSERT INTO standing_figures (client_id, site, figure, taken_on, value)
				VALUES (?, 'a.example', 'links', '2026-11-30', 3)`, id)
		}},
		"found": {FacetFound, func(tx *Tx) error {
			_, err := tx.AddFoundList(id, FoundList{Site: "a.example"})
			return err
		}},
		"reading": {FacetReadings, func(tx *Tx) error {
			_, err := tx.AddReading(Reading{ClientID: id, URL: "u"}, nil, empty.Data())
			return err
		}},
	} {
		t.Run(name, func(t *testing.T) {
			before, beside := revision(id), revision(other)
			ctx, changed := Noting(context.Background())
			require.NoError(t, db.Write(ctx, func(tx *Tx) error {
				assert.False(t, tx.Changes(id))
				err := c.change(tx)
				assert.True(t, tx.Changes(id))
				return err
			}))
			is := revision(id)
			assert.Equal(t, before.Number+1, is.Number, "once, however many rows changed")
			assert.Equal(t, beside, revision(other))
			for _, f := range Facets() {
				assert.Equal(t, f != c.facet, is.Same(before, f), "%s", f)
			}
			assert.Equal(t, []Facet{c.facet}, changed.Facets())
			assert.Equal(t, is.Number, changed.Revision())
		})
	}
	before, beside := revision(id), revision(other)
	write(t, db, func(tx *Tx) error { return tx.SetItem(id, job, JobItem{State: ItemReading}) })
	write(t, db, func(tx *Tx) error {
		return tx.Put(Everyone, NoFacet, `INSERT INTO settings (name, value) VALUES (?, ?)`, "a", "b")
	})
	assert.Equal(t, before, revision(id), "progress decides nothing")
	ctx, changed := Noting(context.Background())
	broken := errors.New("broken")
	assert.ErrorIs(t, db.Write(ctx, func(tx *Tx) error { return errors.Join(tx.SetHours(id, 3), broken) }), broken)
	assert.Equal(t, before, revision(id))
	assert.Empty(t, changed.Facets(), "what failed changed nothing")
	write(t, db, func(tx *Tx) error { return tx.SetFigure(0, "words.step", "20") })
	assert.Equal(t, before.Number+1, revision(id).Number, "those of the workspace are everybody's")
	assert.False(t, revision(other).Same(beside, FacetYardstick))
	require.ErrorIs(t, db.Read(context.Background(), func(tx *Tx) error { _, err := tx.Revision(99); return err }),
		ErrNotFound)
}

// Figures of the yardstick are kept by their keys, those of a client beside
// those of the workspace.
func TestYardstickFigures(t *testing.T) {
	db := opened(t)
	id := addClient(t, db)
	write(t, db, func(tx *Tx) error {
		return errors.Join(tx.SetFigure(0, "words.step", "10"), tx.SetFigure(id, "words.step", "20"),
			tx.SetFigure(0, "words.step", "30"),
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
		return err
	})
	require.NoError(t, db.DeleteClient(t.Context(), id))
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
		require.NoError(t, tx.SetItem(id, job, JobItem{Position: 0, State: ItemDone}))
		require.NoError(t, tx.SetItem(id, job, JobItem{Position: 1, State: ItemReading}))
		running, err := tx.RunningJobs()
		require.NoError(t, err)
		assert.Equal(t, []int64{job}, running)
		require.NoError(t, tx.EndJob(job, JobInterrupted, time.Now()))
		last, err := tx.LastJob(id)
		assert.Equal(t, JobInterrupted, last.State)
		assert.Equal(t, []string{ItemDone, ItemWaiting}, []string{last.Items[0].State, last.Items[1].State})
		return err
	})
	write(t, db, func(tx *Tx) error {
		home, err := tx.AddPage(Page{ClientID: id, Kind: site.Home})
		require.NoError(t, err)
		require.NoError(t, tx.SetChoice(id, home, "title: x", plan.Choice{State: plan.Dropped, Reason: "no"}))
		require.NoError(t, tx.SetChoice(id, home, "h1: x", plan.Choice{State: plan.Kept}))
		require.NoError(t, tx.SetChoice(id, home, "h1: x", plan.Choice{State: plan.Open}))
		require.Error(t, tx.SetChoice(id, 99, "h1: x", plan.Choice{State: plan.Kept}), "of a page that is not there")
		said, err := tx.Said(id)
		assert.Equal(t, []PageChoice{{home, "title: x", plan.Choice{State: plan.Dropped, Reason: "no"}}}, said.Choices)
		one, oneErr := tx.Choice(id, home, "title: x")
		assert.Equal(t, said.Choices[0].Choice, one)
		none, noneErr := tx.Choice(id+1, home, "title: x")
		assert.Zero(t, none, "another client's page")
		return errors.Join(err, oneErr, noneErr)
	})
	require.NoError(t, db.DeleteClient(t.Context(), id))
	var left int
	require.NoError(t, db.writer.QueryRow(`SELECT COUNT(*) FROM target_choices`).Scan(&left))
	assert.Zero(t, left, "what belongs to a client goes with it")
}

// What the user changed of plans is kept whole, and goes with the client.
func TestOutlinesAndOwnTargets(t *testing.T) {
	db := opened(t)
	id, words := addClient(t, db), 120
	edits := outline.Edits{Order: []string{"lead", "about"}, Alone: true, Sections: map[string]outline.SectionEdit{
		"about": {Heading: "Who we are", Words: &words}, "towns": {Dropped: true, Words: new(int)}}}
	var first, second, own int64
	write(t, db, func(tx *Tx) (err error) {
		first, err = tx.AddPage(Page{ClientID: id, Kind: site.Home})
		require.NoError(t, err)
		second, err = tx.PageToMake(Page{ClientID: id, Kind: site.Service, Service: "sweep"})
		require.NoError(t, err)
		again, err := tx.PageToMake(Page{ClientID: id, Kind: site.Service, Service: "sweep"})
		assert.Equal(t, second, again, "one row for a page to make")
		require.NoError(t, err)
		require.NoError(t, tx.SetOutline(id, first, edits))
		require.NoError(t, tx.SetOutline(id, second, edits))
		require.NoError(t, tx.SetOutline(id, second, outline.Edits{}))
		own, err = tx.AddOwnTarget(id, OwnTarget{PageID: first, Text: "Ask for a photo", Minutes: 10})
		return err
	})
	write(t, db, func(tx *Tx) error {
		said, err := tx.Said(id)
		require.NoError(t, err)
		assert.Equal(t, map[int64]outline.Edits{first: edits}, said.Outlines)
		assert.Equal(t, []OwnTarget{{ID: own, PageID: first, Text: "Ask for a photo", Minutes: 10}}, said.Own)
		require.ErrorIs(t, tx.DeleteOwnTarget(id+1, own), ErrNotFound)
		require.NoError(t, tx.DeleteOwnTarget(id, own))
		again, err := tx.AddOwnTarget(id, said.Own[0])
		assert.Equal(t, own, again, "undone under its id")
		return err
	})
	write(t, db, func(tx *Tx) error {
		require.NoError(t, tx.RenameToMake(Page{ID: second, ClientID: id, Kind: site.Service, Service: "sweeping"}))
		list, err := tx.PagesToMake(id)
		assert.Equal(t, []Page{{ID: second, ClientID: id, Kind: site.Service, Service: "sweeping"}}, list)
		pages, pagesErr := tx.Pages(id)
		assert.Len(t, pages, 1, "it is no page of the client")
		return errors.Join(err, pagesErr)
	})
	require.NoError(t, db.DeleteClient(t.Context(), id))
	var left int
	require.NoError(t, db.writer.QueryRow(`SELECT COUNT(*) FROM outlines`).Scan(&left))
	assert.Zero(t, left)
}
