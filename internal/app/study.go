package app

import (
	"context"
	"fmt"

	"inktally/core/lineup"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/target"
	"inktally/internal/store"
)

// study is all that a sheet, targets or a brief of one page are made from.
type study struct {
	ground   store.Ground
	page     store.Page
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
}

// study loads and measures a page of a client and its rivals.
func (a *App) study(ctx context.Context, client, pageID int64) (*study, error) {
	s := &study{}
	var entries []store.Entry
	var readings map[string]store.Reading
	var choices map[string]target.Choice
	var job store.Job
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if s.ground, err = tx.Ground(client); err != nil {
			return err
		}
		if s.page, err = tx.Page(client, pageID); err != nil {
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
		job, err = tx.LastJob(client)
		return ignoreNotFound(err)
	})
	if err != nil {
		return nil, err
	}
	s.ask()
	failures := map[string]string{}
	for _, item := range job.Items {
		if item.State == store.ItemFailed {
			failures[item.URL] = item.Error
		}
	}
	measure := func(key string) (*subject, error) {
		sub := &subject{url: key, failed: failures[key]}
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
	home, _ := place.Home(s.ground.Places)
	s.question = &sheet.Question{
		Phrases: s.ground.Phrases, Services: s.ground.Services, Places: s.ground.Places, Place: home,
		PlacesBound: s.page.Kind == target.Service || s.page.Kind == target.Area,
	}
	families := s.question.Families()
	for i, f := range families {
		s.leads = append(s.leads, target.Lead{
			Text: s.ground.Phrases[f.Members[0]], Family: i, Phrase: f.Members[0],
			// Without search volumes every family counts the same: gains are
			// shares of the page's, in percent (MEASURES 12.1).
			Gain: 100 / float64(len(families)),
		})
	}
}

// aim works out the targets and puts the user's choices on them.
func (s *study) aim(choices map[string]target.Choice) {
	y := target.Standard()
	p := target.Page{Kind: s.page.Kind, Client: s.client.column, Question: s.question, Leads: s.leads, Wishes: s.wishes()}
	for _, r := range s.rivals {
		if r.column != nil {
			p.Rivals = append(p.Rivals, r.column)
		}
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
	for _, service := range s.ground.Services {
		out = append(out, service+" "+home.Name)
	}
	if s.page.Kind == target.Home && len(s.ground.Services) > 0 {
		for _, p := range s.ground.Places {
			if p.Name != home.Name {
				out = append(out, s.ground.Services[0]+" "+p.Name)
			}
		}
	}
	return out
}

// read are the rivals whose page was read, in the order of the word target's
// indices.
func (s *study) read() []*subject {
	var out []*subject
	for _, r := range s.rivals {
		if r.column != nil {
			out = append(out, r)
		}
	}
	return out
}

// standing tells where a rival stood in the search: "map 1", "organic 3".
func standing(e store.Entry) string {
	if e.Part == string(lineup.Typed) {
		return "typed"
	}
	return fmt.Sprintf("%s %d", e.Part, e.Position)
}
