package app

import (
	"context"
	"fmt"

	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/target"
	"inktally/core/visits"
	"inktally/internal/store"
)

// study is all that a sheet, targets or a brief of one page are made from.
type study struct {
	ground   store.Ground
	page     store.Page
	phrases  []string // the page is measured for these
	said     phrase.Said
	figures  map[string]phrase.BookPhrase // what the book has of them, by their folded forms
	visits   bool                         // whether gains are visits, not shares
	question *sheet.Question
	leads    []target.Lead
	client   *subject
	rivals   []*subject // in the order of the lineup, those not read too
	words    target.WordTarget
	targets  []target.Target
}

// subject is a page in a study: the client's or a rival's.
type subject struct {
	entry   store.Entry // of a rival
	name    string
	url     string
	reading *store.Reading
	column  *sheet.Column // nil where the page was not read
	failed  string        // why the last attempt to read it failed
	way     string        // how it is to be read
}

// study loads and measures a page of a client and its rivals.
func (a *App) study(ctx context.Context, client, pageID int64) (*study, error) {
	return a.studyFor(ctx, client, pageID, true)
}

// studyFor is study; without phrases only its words are right.
func (a *App) studyFor(ctx context.Context, client, pageID int64, phrases bool) (*study, error) {
	s := &study{}
	var entries []store.Entry
	var readings map[string]store.Reading
	var choices map[string]target.Choice
	var failures map[string]string
	var ways map[string]store.Way
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if s.page, err = tx.Page(client, pageID); err != nil {
			return err
		}
		if err := s.load(tx, client, phrases); err != nil {
			return err
		}
		if entries, err = tx.Entries(client); err != nil {
			return err
		}
		if readings, err = tx.LatestReadings(client); err != nil {
			return err
		}
		if choices, err = tx.Choices(pageID); err != nil {
			return err
		}
		if failures, err = tx.Failures(client); err != nil {
			return err
		}
		ways, err = tx.Ways(client)
		return err
	})
	if err != nil {
		return nil, err
	}
	s.ask()
	measure := func(key string) (*subject, error) {
		sub := &subject{url: key, failed: failures[key], way: ways[key].Way}
		r, ok := readings[key]
		if !ok {
			return sub, nil
		}
		p, err := a.pageOf(ctx, r)
		if err != nil {
			return nil, err
		}
		sub.reading, sub.column = &r, sheet.Measure(p, s.question)
		return sub, nil
	}
	if s.client, err = measure(readingKey(s.page)); err != nil {
		return nil, err
	}
	s.client.name, s.client.url = s.ground.Client.Name, s.page.URL
	for _, e := range rivals(entries) {
		sub, err := measure(e.URL)
		if err != nil {
			return nil, err
		}
		sub.entry, sub.name = e, e.Name
		s.rivals = append(s.rivals, sub)
	}
	s.aim(choices)
	return s, nil
}

// load loads the ground and the phrases of the page: those named for the home
// page, else those of the families that it carries.
func (s *study) load(tx *store.Tx, client int64, phrases bool) error {
	if !phrases {
		var err error
		s.ground, err = tx.Ground(client)
		return err
	}
	load := loadSaid
	if s.page.Kind != target.Home {
		load = loadBook
	}
	l, err := load(tx, client)
	if err != nil {
		return err
	}
	s.ground, s.said, s.phrases = l.Ground, l.said(), l.Phrases
	if s.page.Kind != target.Home {
		s.phrases = l.carried(s.page.ID)
	}
	var keys []string
	for _, p := range s.phrases {
		keys = append(keys, folded(p))
	}
	s.figures, err = tx.PhrasesOf(client, keys)
	return err
}

// rivals are the entries taken, each firm once.
func rivals(entries []store.Entry) []store.Entry {
	var out []store.Entry
	seen := map[string]bool{}
	for _, part := range []lineup.Part{lineup.Map, lineup.Organic, lineup.Typed} {
		for _, e := range entries {
			if e.Part != string(part) || !e.Taken || e.URL == "" || seen[e.URL] {
				continue
			}
			seen[e.URL] = true
			out = append(out, e)
		}
	}
	return out
}

// ask makes the question that the pages are measured for.
func (s *study) ask() {
	at, _ := place.Home(s.ground.Places)
	for _, p := range s.ground.Places {
		if p.Name == s.page.Place {
			at = p
		}
	}
	var services []string
	for _, service := range s.ground.Services {
		services = append(services, service.Forms()...)
	}
	s.question = &sheet.Question{
		Phrases: s.phrases, Services: services, Places: s.ground.Places, Said: s.said, Place: at,
		PlacesBound: s.page.Kind == target.Service || s.page.Kind == target.Area,
	}
	gains := s.gains()
	for i, f := range s.question.Families() {
		s.leads = append(s.leads, target.Lead{Text: s.phrases[f.Members[0]], Family: i, Phrase: f.Members[0], Gain: gains[i]})
	}
}

// gains are what the page's families bring, in visits a month. Without search
// volumes every family counts the same: they are shares of the page's, in
// percent (MEASURES 12.1).
func (s *study) gains() []float64 {
	families := s.question.Families()
	gains := make([]float64, len(families))
	for i, f := range families {
		var members []phrase.BookPhrase
		for _, m := range f.Members {
			members = append(members, s.figures[folded(s.phrases[m])])
		}
		gains[i] = phrase.Estimate(members, visits.Standard()).Gain
		s.visits = s.visits || gains[i] > 0
	}
	if !s.visits {
		for i := range gains {
			gains[i] = 100 / float64(len(families))
		}
	}
	return gains
}

// aim works out the targets and puts the user's choices on them.
func (s *study) aim(choices map[string]target.Choice) {
	y := target.Standard()
	p := target.Page{Kind: s.page.Kind, Client: s.client.column, Question: s.question, Leads: s.leads, Wishes: s.wishes()}
	for _, r := range s.read() {
		p.Rivals = append(p.Rivals, r.column)
	}
	seen, frame := 0, 0
	if c := s.client.column; c != nil {
		seen, frame = c.Page.Words.Seen, c.Page.Words.Frame()
	}
	var rivalWords []int
	for _, r := range p.Rivals {
		rivalWords = append(rivalWords, r.Page.Words.Seen)
	}
	s.words = y.Words(p.Kind, seen, frame, rivalWords)
	s.targets = y.Targets(p)
	for i := range s.targets {
		if c, ok := choices[s.targets[i].Key]; ok {
			s.targets[i].Choice = c
		}
	}
	s.targets = target.Order(s.targets)
}

// wishes are what image names may say beyond the families: services with the
// home town, and on the home page the main service with each community
// (MEASURES 4.3).
func (s *study) wishes() []string {
	home, ok := place.Home(s.ground.Places)
	if !ok {
		return nil
	}
	var out []string
	services := s.ground.Services
	for _, service := range services {
		out = append(out, service.Name+" "+home.Name)
	}
	if s.page.Kind == target.Home && len(services) > 0 {
		for _, p := range s.ground.Places {
			if p.Name != home.Name {
				out = append(out, services[0].Name+" "+p.Name)
			}
		}
	}
	return out
}

// read are the rivals whose page was read, in the order of the word target's
// indices. One that a script draws and no browser has drawn is not read yet:
// it would pull the figures down.
func (s *study) read() []*subject {
	var out []*subject
	for _, r := range s.rivals {
		if r.column != nil && !drawnByScript(r.column.Page) && s.like(r) {
			out = append(out, r)
		}
	}
	return out
}

// like tells whether a rival's page is of the kind of the client's: a service
// page is not measured by home pages (MEASURES 6.3).
func (s *study) like(r *subject) bool {
	return s.page.Kind == target.Home || site.Slug(r.url) != ""
}

// standing tells where a rival stood in the search: "map 1", "organic 3".
func standing(e store.Entry) string {
	if e.Part == string(lineup.Typed) {
		return "typed"
	}
	return fmt.Sprintf("%s %d", e.Part, e.Position)
}

// readSubject loads the study of a page and the one of its pages that is asked
// for, the client's where entry is 0. It must have been read.
func (a *App) readSubject(ctx context.Context, client, pageID, entry int64) (*study, *subject, error) {
	s, err := a.study(ctx, client, pageID)
	if err != nil {
		return nil, nil, err
	}
	sub, err := s.entryOf(entry)
	if err == nil && sub.column == nil {
		err = Invalid{"this page was not read yet"}
	}
	return s, sub, err
}
