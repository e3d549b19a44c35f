package store

import (
	"time"

	"inktally/core/fault"
	"inktally/core/site"
	"inktally/internal/store/kept"
)

// Site is a site that was surveyed: the client's own or a rival's.
type Site struct {
	ID       int64
	ClientID int64
	// Domain is its registrable one, by which entries of lineups belong to it.
	Domain     string
	SurveyedAt time.Time
	// Both reports whether it answers by http and by https.
	Both bool
	Dead []site.Dead
	// Root is the address of the page that its root leads to, Plain whether it answers by http alone.
	Root  string
	Plain bool
	// Missed are pages that are known and were not read.
	Missed []site.Missed
	// Fault is why its survey ended before its end, nil if it did not.
	Fault *fault.Fault
	Pages []SitePage // in the order in which they were found
}

// SitePage is a page of a site as a survey found it.
type SitePage struct {
	URL       string
	Labels    []string
	InLinks   int
	Canonical string
}

// Sites returns the sites of a client that were surveyed, by domain.
func (t *Tx) Sites(client int64) (map[string]Site, error) {
	list, err := All(t, scanSite,
		`SELECT id, client_id, domain, surveyed_at, both, dead, root, plain, missed, fault FROM sites WHERE client_id = ?`,
		client)
	if err != nil || len(list) == 0 {
		return map[string]Site{}, err
	}
	type row struct {
		site int64
		SitePage
	}
	rows, err := All(t, func(r Scanner, v *row) error {
		return r.Scan(&v.site, &v.URL, (*kept.List[string])(&v.Labels), &v.InLinks, &v.Canonical)
	}, `SELECT p.site_id, p.url, p.labels, p.in_links, p.canonical FROM site_pages p JOIN sites s ON s.id = p.site_id
		WHERE s.client_id = ? ORDER BY p.site_id, p.position`, client)
	pages := map[int64][]SitePage{}
	for _, v := range rows {
		pages[v.site] = append(pages[v.site], v.SitePage)
	}
	out := map[string]Site{}
	for _, s := range list {
		s.Pages = pages[s.ID]
		out[s.Domain] = s
	}
	return out, err
}

func scanSite(r Scanner, s *Site) error {
	return r.Scan(&s.ID, &s.ClientID, &s.Domain, (*kept.Time)(&s.SurveyedAt), &s.Both, (*kept.Dead)(&s.Dead),
		&s.Root, &s.Plain, (*kept.Missed)(&s.Missed), kept.Fault{To: &s.Fault})
}

// SetSite keeps what a survey found of a site in place of what was known of it,
// and returns its id.
func (t *Tx) SetSite(s Site) (int64, error) {
	if _, err := t.exec(of(s.ClientID, FacetSurveyed), `DELETE FROM sites WHERE client_id = ? AND domain = ?`,
		s.ClientID, s.Domain); err != nil {
		return 0, err
	}
	id, err := t.insert(of(s.ClientID, FacetSurveyed),
		`INSERT INTO sites (client_id, domain, surveyed_at, both, dead, root, plain, missed, fault)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		s.ClientID, s.Domain, kept.Time(s.SurveyedAt), s.Both, kept.Dead(s.Dead), s.Root, s.Plain,
		kept.Missed(s.Missed), kept.FaultOf(s.Fault))
	if err != nil {
		return 0, err
	}
	for i, p := range s.Pages {
		_, err := t.exec(of(s.ClientID, FacetSurveyed),
			`INSERT INTO site_pages (site_id, position, url, labels, in_links, canonical) VALUES (?, ?, ?, ?, ?, ?)`,
			id, i, p.URL, kept.List[string](p.Labels), p.InLinks, p.Canonical)
		if err != nil {
			return 0, err
		}
	}
	return id, nil
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
	return All(t, func(r Scanner, c *LikeChoice) error { return r.Scan(&c.PageID, &c.Domain, &c.URL) }, `
		SELECT c.page_id, c.domain, c.url FROM like_choices c JOIN pages p ON p.id = c.page_id WHERE p.client_id = ?`,
		client)
}

// SetLikeChoice keeps which page is the comparable one for a page of a client; nil forgets it.
func (t *Tx) SetLikeChoice(client, page int64, domain string, url *string) error {
	if url == nil {
		_, err := t.exec(of(client, FacetSurveyed), `DELETE FROM like_choices WHERE page_id = ? AND domain = ?`, page,
			domain)
		return err
	}
	_, err := t.exec(of(client, FacetSurveyed),
		`INSERT OR REPLACE INTO like_choices (page_id, domain, url) VALUES (?, ?, ?)`, page, domain, *url)
	return err
}

// AddAnswer keeps which reading a survey made of an address, so that it goes on
// from there.
func (t *Tx) AddAnswer(job int64, url string, reading int64) error {
	_, err := t.exec(none, `INSERT OR REPLACE INTO survey_answers (job_id, url, reading_id) VALUES (?, ?, ?)`, job, url,
		reading)
	return err
}

// Answers returns the readings that a survey of a client made so far, by address.
func (t *Tx) Answers(client, job int64) (map[string]Reading, error) {
	type answer struct {
		url string
		Reading
	}
	list, err := All(t, func(r Scanner, a *answer) error {
		return scanReading(func(into ...any) error { return r.Scan(append([]any{&a.url}, into...)...) }, &a.Reading)
	}, `SELECT a.url, `+readingColumnsOf("r")+
		` FROM survey_answers a JOIN readings r ON r.id = a.reading_id WHERE a.job_id = ? AND r.client_id = ?`, job,
		client)
	out := make(map[string]Reading, len(list))
	for _, a := range list {
		out[a.url] = a.Reading
	}
	return out, err
}

// DropAnswers forgets how far a survey was.
func (t *Tx) DropAnswers(job int64) error {
	_, err := t.exec(none, `DELETE FROM survey_answers WHERE job_id = ?`, job)
	return err
}
