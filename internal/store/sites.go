package store

import (
	"database/sql"
	"encoding/json"
	"time"

	"inktally/core/fault"
	"inktally/core/site"
)

// Site is a site that was surveyed: the client's own or a rival's.
type Site struct {
	ID       int64
	ClientID int64
	// Domain is its registrable one, by which entries of lineups belong to it.
	Domain     string
	SurveyedAt time.Time
	// Both tells that it answers by http and by https.
	Both bool
	Dead []site.Dead
	// Fault is why its survey ended before its end, nil if it did not.
	Fault *fault.Fault
	// Judged names what its pages were judged by; other words mean: judge again.
	Judged   string
	Findings []site.Finding
	Pages    []SitePage // in the order of the tree
}

// SitePage is a page of a site as a survey found it and as it was judged.
type SitePage struct {
	site.Surveyed
	Labels    []string
	InLinks   int
	Canonical string
}

// Tree are the pages of a site as they were judged.
func (s Site) Tree() []site.Surveyed {
	out := make([]site.Surveyed, len(s.Pages))
	for i, p := range s.Pages {
		out[i] = p.Surveyed
	}
	return out
}

// Sites returns the sites of a client that were surveyed, by domain.
func (t *Tx) Sites(client int64) (map[string]Site, error) {
	list, err := all(t, scanSite, `SELECT id, client_id, domain, surveyed_at, both, dead, fault, judged, findings FROM sites WHERE client_id = ?`, client)
	if err != nil {
		return nil, err
	}
	out := map[string]Site{}
	for _, s := range list {
		if s.Pages, err = all(t, scanSitePage, `SELECT url, labels, in_links, canonical, title, kind, service, place, reason, reason_words, words, own
			FROM site_pages WHERE site_id = ? ORDER BY position`, s.ID); err != nil {
			return nil, err
		}
		out[s.Domain] = s
	}
	return out, nil
}

func scanSite(r *sql.Rows, s *Site) error {
	var at, dead, failed, findings string
	if err := r.Scan(&s.ID, &s.ClientID, &s.Domain, &at, &s.Both, &dead, &failed, &s.Judged, &findings); err != nil {
		return err
	}
	s.SurveyedAt = parseStamp(at)
	var deadLinks []deadRow
	if err := json.Unmarshal([]byte(dead), &deadLinks); err != nil {
		return err
	}
	for _, d := range deadLinks {
		s.Dead = append(s.Dead, site.Dead(d))
	}
	var found []findingRow
	if err := json.Unmarshal([]byte(findings), &found); err != nil {
		return err
	}
	for _, f := range found {
		s.Findings = append(s.Findings, site.Finding(f))
	}
	var err error
	s.Fault, err = parseFault(failed)
	return err
}

func scanSitePage(r *sql.Rows, p *SitePage) error {
	var labels, words string
	err := r.Scan(&p.URL, &labels, &p.InLinks, &p.Canonical, &p.Title, &p.Kind, &p.Service, &p.Place, &p.Reason, &words, &p.Words, &p.Own)
	if err != nil {
		return err
	}
	if err := json.Unmarshal([]byte(labels), &p.Labels); err != nil {
		return err
	}
	return json.Unmarshal([]byte(words), &p.Purpose.Words)
}

// SetSite keeps what a survey found of a site in place of what was known of it,
// and returns its id.
func (t *Tx) SetSite(s Site) (int64, error) {
	dead := []deadRow{}
	for _, d := range s.Dead {
		dead = append(dead, deadRow(d))
	}
	links, err := asJSON(dead)
	if err != nil {
		return 0, err
	}
	failed, err := writeFault(s.Fault)
	if err != nil {
		return 0, err
	}
	if _, err := t.exec(`DELETE FROM sites WHERE client_id = ? AND domain = ?`, s.ClientID, s.Domain); err != nil {
		return 0, err
	}
	id, err := t.insert(`INSERT INTO sites (client_id, domain, surveyed_at, both, dead, fault) VALUES (?, ?, ?, ?, ?, ?)`,
		s.ClientID, s.Domain, stamp(s.SurveyedAt), s.Both, links, failed)
	if err != nil {
		return 0, err
	}
	for i, p := range s.Pages {
		labels, err := asJSON(append([]string{}, p.Labels...))
		if err != nil {
			return 0, err
		}
		_, err = t.exec(`INSERT INTO site_pages (site_id, position, url, labels, in_links, canonical) VALUES (?, ?, ?, ?, ?, ?)`,
			id, i, p.URL, labels, p.InLinks, p.Canonical)
		if err != nil {
			return 0, err
		}
	}
	return id, nil
}

// SetTree keeps what the pages of a site were judged to be, and by what.
func (t *Tx) SetTree(id int64, judged string, tree site.Tree) error {
	found := []findingRow{}
	for _, f := range tree.Findings {
		found = append(found, findingRow(f))
	}
	findings, err := asJSON(found)
	if err != nil {
		return err
	}
	if err := t.change(`UPDATE sites SET judged = ?, findings = ? WHERE id = ?`, judged, findings, id); err != nil {
		return err
	}
	for i, p := range tree.Pages {
		words, err := asJSON(append([]string{}, p.Purpose.Words...))
		if err != nil {
			return err
		}
		_, err = t.exec(`UPDATE site_pages SET position = ?, title = ?, kind = ?, service = ?, place = ?, reason = ?, reason_words = ?, words = ?, own = ?
			WHERE site_id = ? AND url = ?`, i, p.Title, p.Kind, p.Service, p.Place, p.Reason, words, p.Words, p.Own, id, p.URL)
		if err != nil {
			return err
		}
	}
	return nil
}

// DropSite forgets what a survey found of a site.
func (t *Tx) DropSite(client int64, domain string) error {
	return t.change(`DELETE FROM sites WHERE client_id = ? AND domain = ?`, client, domain)
}

// LikeChoice is which page of a rival's site a person said is the comparable
// one; without an address the rival has none.
type LikeChoice struct {
	PageID int64
	Domain string
	URL    string
}

// LikeChoices returns what was said of a client's pages.
func (t *Tx) LikeChoices(client int64) ([]LikeChoice, error) {
	return all(t, func(r *sql.Rows, c *LikeChoice) error { return r.Scan(&c.PageID, &c.Domain, &c.URL) }, `
		SELECT c.page_id, c.domain, c.url FROM like_choices c JOIN pages p ON p.id = c.page_id WHERE p.client_id = ?`, client)
}

// SetLikeChoice keeps which page is the comparable one; nil forgets it.
func (t *Tx) SetLikeChoice(page int64, domain string, url *string) error {
	if url == nil {
		_, err := t.exec(`DELETE FROM like_choices WHERE page_id = ? AND domain = ?`, page, domain)
		return err
	}
	_, err := t.exec(`INSERT OR REPLACE INTO like_choices (page_id, domain, url) VALUES (?, ?, ?)`, page, domain, *url)
	return err
}

// AddAnswer keeps which reading a survey made of an address, so that it goes on
// from there.
func (t *Tx) AddAnswer(job int64, url string, reading int64) error {
	_, err := t.exec(`INSERT OR REPLACE INTO survey_answers (job_id, url, reading_id) VALUES (?, ?, ?)`, job, url, reading)
	return err
}

// Answers returns the readings that a survey of a client made so far, by address.
func (t *Tx) Answers(client, job int64) (map[string]Reading, error) {
	type answer struct {
		url     string
		reading int64
	}
	list, err := all(t, func(r *sql.Rows, a *answer) error { return r.Scan(&a.url, &a.reading) },
		`SELECT url, reading_id FROM survey_answers WHERE job_id = ?`, job)
	out := map[string]Reading{}
	for _, a := range list {
		if err == nil {
			out[a.url], err = t.Reading(client, a.reading)
		}
	}
	return out, err
}

// DropAnswers forgets how far a survey was.
func (t *Tx) DropAnswers(job int64) error {
	_, err := t.exec(`DELETE FROM survey_answers WHERE job_id = ?`, job)
	return err
}
