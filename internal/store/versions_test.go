package store

import (
	"compress/gzip"
	"context"
	"fmt"
	"io"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"testing"
	"time"

	"inktally/core/book"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/reading"
	"inktally/internal/datafile"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// version returns a file that a program of a version wrote: the demo, with choices of all kinds
// made in it.
func version(t *testing.T, n int) *DB {
	db, err := Open(context.Background(), versionFile(t, n))
	require.NoError(t, err)
	t.Cleanup(func() { assert.NoError(t, db.Close()) })
	return db
}

// versionFile returns where such a file lies.
func versionFile(t *testing.T, n int) string {
	packed, err := os.Open(fmt.Sprintf("testdata/version%d.db.gz", n))
	require.NoError(t, err)
	defer packed.Close()
	unpacked, err := gzip.NewReader(packed)
	require.NoError(t, err)
	name := filepath.Join(t.TempDir(), "older.db")
	file, err := os.Create(name)
	require.NoError(t, err)
	_, err = io.Copy(file, unpacked)
	require.NoError(t, err)
	require.NoError(t, file.Close())
	return name
}

// All that a person entered in a file of an older program is there.
func TestVersion6(t *testing.T) {
	const client, home = 2, 2
	require.NoError(t, version(t, 6).Read(context.Background(), func(tx *Tx) error {
		g, err := tx.Ground(client)
		require.NoError(t, err)
		assert.Equal(t, "Brindle & Ash Chimney", g.Client.Name)
		require.NotNil(t, g.Client.Lists)
		assert.Contains(t, g.Client.Lists.Goods, "oakum rope")
		assert.Len(t, g.Services, 7)
		assert.Equal(t, []string{"chimney cleaning", "chimney cleaner", "fireplace cleaning"}, g.Services[0].Words)
		assert.Equal(t, []string{"Tarn Harbour"}, g.Places[0].Spellings)
		assert.Equal(t, TypedPhrase{home, "chimney sweep tarn harbor"}, g.Typed[0],
			"what was typed for the home page is tied to it")
		assert.Len(t, g.Typed, 6)
		assert.Len(t, g.Pages, 3)

		entries, err := tx.Entries(client)
		require.NoError(t, err)
		reasons, taken := map[string]lineup.Reason{}, []string{}
		for _, e := range entries {
			if e.Part != lineup.Typed {
				reasons[e.Name] = e.Reason
			}
			if e.Taken {
				taken = append(taken, string(e.Part)+" "+e.URL)
				assert.False(t, e.Paying(), "what is paid for is no rival")
			}
		}
		assert.Equal(t, lineup.Reason{Code: lineup.ManyListings, Number: 17},
			reasons["Townledger: chimney sweeps in and around Tarn Harbor"])
		assert.Equal(t, lineup.Reason{Code: lineup.ListTitle, Quote: "Best 10"},
			reasons["Best 10 chimney sweeps in Maine"])
		assert.Equal(t, lineup.Reason{Code: lineup.BeyondMost, Number: 4}, reasons["Hearthway National: Tarn Harbor"])
		assert.Equal(t, lineup.Reason{Code: lineup.DismissedByHand}, reasons["Old Saltbox Masonry"])
		assert.Equal(t, lineup.Reason{Code: lineup.IsPaid}, reasons["Sweepfast: three offers in a minute"])
		assert.Equal(t, lineup.Reason{Code: lineup.IsClient}, reasons["Home | Brindle & Ash Chimney"])
		assert.Contains(t, taken, "typed http://sweepfast.example/", "a paid one that was taken is a typed rival")
		assert.Contains(t, taken, "typed http://kettlecove.example/", "and so is a sponsored one")

		readings, err := tx.LatestReadings(client)
		require.NoError(t, err)
		own := readings["http://brindleandash.example/"]
		assert.Equal(t, reading.Facts{Title: "Home", Words: page.Words{Seen: 545, Copy: 488, Hidden: 22}}, own.Facts)
		assert.Equal(t, reading.FromWeb, own.Source)
		assert.Equal(t, reading.FromPaste, readings["http://townledger.example/"].Source)
		assert.True(t, readings["http://thchimney.example/practice/unwelcome"].RobotsIgnored)
		kept, err := tx.ReadingHTML(own.ID)
		require.NoError(t, err)
		assert.Contains(t, string(kept), "<title>Home</title>")
		data, err := tx.ReadingPage(own.ID)
		assert.Nil(t, data, "what was read of it is made when it is first needed")
		require.NoError(t, err)

		modes, err := tx.ReadModes(client)
		require.NoError(t, err)
		assert.Equal(t, map[string]ReadMode{"http://oldsaltbox.example/": {Mode: reading.Served},
			"http://thchimney.example/practice/unwelcome": {IgnoreRobots: true}}, modes)
		failures, err := tx.Failures(client)
		require.NoError(t, err)
		assert.Equal(t, NotReadBefore.Code, failures["http://kettlecove.example/"].Code)

		phrases, err := tx.BookPhrases(client)
		require.NoError(t, err)
		assert.Greater(t, len(phrases), 90)
		choices, err := tx.BookChoices(client)
		require.NoError(t, err)
		assert.Equal(t, book.Choice{State: book.Aside, Reason: "another firm does these"},
			choices["clean dryer me vent|near me"])
		assert.Equal(t, "tarn harbor chimney sweep", choices["chimney harbor sweep tarn"].Lead)
		words, err := tx.BookWords(client)
		require.NoError(t, err)
		assert.Equal(t, []BookWord{{"oakum", "firm", ""}, {"sweeper", "", "sweep"}}, words)
		imports, err := tx.Imports(client, 10)
		require.NoError(t, err)
		require.Len(t, imports, 2)
		require.NotEmpty(t, imports[0].Changed)
		assert.NotEmpty(t, imports[0].Changed[0].Text)
		found, err := tx.FoundLists(client)
		require.NoError(t, err)
		require.Len(t, found, 5)
		assert.NotNil(t, found[0].Phrases[0].Volume)
		said, err := tx.Said(client)
		assert.InDelta(t, 7, said.Hours, 0)
		assert.ElementsMatch(t, []PageChoice{
			{home, "alt: chimney sweep tarn harbor",
				plan.Choice{State: plan.Dropped, Reason: "the owner writes these"}},
			{home, "h1: chimney sweep tarn harbor", plan.Choice{State: plan.Kept}},
			{home, "title: chimney sweep tarn harbor",
				plan.Choice{State: plan.Changed, Value: "Chimney sweep in Tarn Harbor, Maine"}},
			{home, "words", plan.Choice{State: plan.Kept}},
			{home, "image_names: img_2041.jpg", plan.Choice{State: plan.Kept}},
		}, said.Choices)
		return err
	}))
}

// Programs of versions 12 and 13 named pages by texts; what was said of each, of those to make
// too, is kept with its page.
func TestVersions12And13(t *testing.T) {
	for _, n := range []int{12, 13} {
		t.Run(fmt.Sprint(n), func(t *testing.T) { holdsWhatWasSaid(t, version(t, n), n) })
	}
}

// holdsWhatWasSaid asserts that a file of version 12 or 13 has all that was said in it.
func holdsWhatWasSaid(t *testing.T, db *DB, n int) {
	const client, home = 2, 2
	var free int
	require.NoError(t, db.reader.QueryRow(`PRAGMA freelist_count`).Scan(&free))
	assert.Zero(t, free, "what tables were made anew from is given back")
	require.NoError(t, db.Read(context.Background(), func(tx *Tx) error {
		g, err := tx.Ground(client)
		require.NoError(t, err)
		assert.Len(t, g.Services, 7)
		assert.NotEmpty(t, g.Services[0].Words)
		assert.Len(t, g.Pages, 7)
		rows := map[string]int64{}
		said, err := tx.Said(client)
		require.NoError(t, err)
		for _, p := range said.ToMake {
			rows[p.Service] = p.ID
		}
		assert.InDelta(t, 7, said.Hours, 0)
		assert.ElementsMatch(t, []PageChoice{
			{home, "title: chimney harbor sweep tarn",
				plan.Choice{State: plan.Changed, Value: "Chimney sweep in Tarn Harbor, Maine"}},
			{home, "h1: chimney harbor sweep tarn", plan.Choice{State: plan.Dropped, Reason: "the owner likes it"}},
			{home, "slice: no such line", plan.Choice{State: plan.Dropped, Reason: "gone since"}},
			{rows["masonry repair"], "title: chimney harbor repair tarn",
				plan.Choice{State: plan.Dropped, Reason: "theirs"}},
			{rows["chimney inspection"], "h1: chimney harbor inspect tarn", plan.Choice{State: plan.Kept}},
			{rows["flue liner installation"], "h1: chimney harbor liner tarn",
				plan.Choice{State: plan.Changed, Value: "Masonry"}},
		}, said.Choices)
		assert.Equal(t, []OwnTarget{{1, rows["masonry repair"], "Ask for a photo of the camera", 3, 10},
			{2, home, "Call the owner", 0, 5}}, said.Own)
		require.Len(t, said.Outlines, 2)
		for _, page := range []int64{home, rows["masonry repair"]} {
			for _, s := range said.Outlines[page].Sections {
				assert.Equal(t, "What we look at", s.Heading)
				assert.Equal(t, 150, *s.Words)
			}
		}
		drafts, err := tx.Drafts(client)
		require.NoError(t, err)
		var of []int64
		for _, d := range drafts {
			of = append(of, d.PageID)
			body, err := tx.DraftBody(client, d.ID)
			require.NoError(t, err)
			assert.Contains(t, string(body), "# Chimney inspection in Tarn Harbor")
		}
		if n == 13 { // which kept drafts first
			assert.Equal(t, []int64{rows["chimney cap fitting"], rows["masonry repair"], home}, of)
		}
		sites, err := tx.Sites(client)
		require.NoError(t, err)
		assert.Len(t, sites["brindleandash.example"].Pages, 7)
		latest, err := tx.LatestReadings(client)
		require.NoError(t, err)
		html, err := tx.ReadingHTML(latest["http://brindleandash.example/"].ID)
		require.NoError(t, err)
		assert.Contains(t, string(html), "<title>Home</title>")
		data, err := tx.ReadingPage(latest["http://brindleandash.example/"].ID)
		require.NoError(t, err)
		assert.Equal(t, latest["http://brindleandash.example/"].Rules == page.Rules, data != nil,
			"what older rules read is read anew")
		entries, err := tx.Entries(client)
		assert.Greater(t, len(entries), 10)
		return err
	}))
}

// A program that is killed while it brings a file up to date leaves one that the next start
// brings up to date, with all that was said in it.
func TestMigrationIsKilled(t *testing.T) {
	if path := os.Getenv("MIGRATE_FILE"); path != "" { // the program that is killed
		if db, err := Open(context.Background(), path); err == nil {
			_ = db.Close()
		}
		return
	}
	self, err := os.Executable()
	require.NoError(t, err)
	under := 0
	for range 5 {
		path := versionFile(t, 13)
		for range 4 {
			program := exec.Command(self, "-test.run", "^TestMigrationIsKilled$")
			program.Env = append(os.Environ(), "MIGRATE_FILE="+path)
			require.NoError(t, program.Start())
			require.Eventually(t, func() bool { // it is at work
				_, err := os.Stat(path + ".lock")
				return err == nil
			}, time.Minute, time.Millisecond)
			time.Sleep(time.Duration(rand.IntN(60)) * time.Millisecond)
			_ = program.Process.Kill()
			if err := program.Wait(); err != nil {
				under++
			}
		}
		db, err := Open(context.Background(), path)
		require.NoError(t, err)
		holdsWhatWasSaid(t, db, 13)
		require.NoError(t, db.Close())
	}
	assert.Positive(t, under, "none was killed under way")
}

// Files that programs of all versions wrote have nothing strange in them, as they were and brought up to date.
func TestVersionsAreNotStrange(t *testing.T) {
	files, err := filepath.Glob("testdata/version*.db.gz")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	for _, file := range files {
		var n int
		_, err := fmt.Sscanf(filepath.Base(file), "version%d.db.gz", &n)
		require.NoError(t, err)
		path := versionFile(t, n)
		says, err := datafile.Strange(t.Context(), path, Migrations())
		require.NoError(t, err)
		assert.Empty(t, says, "version %d", n)
		db, err := Open(t.Context(), path)
		require.NoError(t, err)
		require.NoError(t, db.Close())
		says, err = datafile.Strange(t.Context(), path, Migrations())
		require.NoError(t, err)
		assert.Empty(t, says, "version %d, up to date", n)
	}
}
