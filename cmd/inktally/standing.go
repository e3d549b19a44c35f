package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"

	"inktally/internal/app"
	"inktally/internal/store"
	"inktally/internal/view"
	"inktally/internal/view/stood"

	"github.com/spf13/cobra"
)

func standingCommand() *cobra.Command {
	var s standingRun
	cmd := &cobra.Command{
		Use: "standing [--json] (--client NAME | --facts FILE) [--site DOMAIN] FILE...",
		Short: "Reads figures of links, listings and map profiles from files and says what they come to; " +
			"the data file stays as it is",
		Args: cobra.MinimumNArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			out, err := s.run(cmd.Context(), args)
			if err != nil {
				return err
			}
			if s.asJSON {
				return printJSON(cmd.OutOrStdout(), out)
			}
			return printStanding(cmd.OutOrStdout(), out)
		},
	}
	s.flags(cmd)
	cmd.Flags().StringVar(&s.facts, "facts", "", "a file with the client and its rivals as JSON, instead of --client")
	cmd.Flags().StringVar(&s.site, "site", "", "whose the rows are that do not say")
	cmd.Flags().BoolVar(&s.asJSON, "json", false, "print JSON")
	return cmd
}

type standingRun struct {
	desk
	facts, site string
	asJSON      bool
}

// standingFacts are a client and its rivals, for whom no data file is needed.
type standingFacts struct {
	view.Business
	Rivals []struct {
		Name    string `json:"name"`
		URL     string `json:"url"`
		Phone   string `json:"phone"`
		Chain   bool   `json:"chain"`
		Map     int    `json:"map"`
		Reviews *int   `json:"reviews"`
	} `json:"rivals"`
	// Sites says what sites are, as a list of sites is imported: a domain and its kind.
	Sites []string `json:"sites"`
	// Domains says what to do about domains that link.
	Domains map[string]stood.SaidVerdict `json:"domains"`
}

// standingRead is what files come to.
type standingRead struct {
	Files    []standingFile                `json:"files"`
	Standing *stood.Standing               `json:"standing"`
	Domains  map[string]*stood.LinkDomains `json:"domains"`
	Listings *stood.StandingListings       `json:"listings"`
	Profile  *stood.MapProfile             `json:"profile"`
}

// standingFile is how a file was read.
type standingFile struct {
	File string `json:"file"`
	stood.FigureTable
	// Fault is why nothing of it was kept, empty if something was.
	Fault string `json:"fault"`
}

func (s *standingRun) run(ctx context.Context, files []string) (*standingRead, error) {
	if s.facts != "" {
		return s.ofFacts(ctx, files)
	}
	var out *standingRead
	err := s.with(ctx, func(a *app.App, client int64) (err error) {
		out, err = s.read(ctx, a, client, files)
		return err
	})
	return out, err
}

// ofFacts reads files for a client that is told in a file.
func (s *standingRun) ofFacts(ctx context.Context, files []string) (*standingRead, error) {
	raw, err := os.ReadFile(s.facts)
	if err != nil {
		return nil, err
	}
	var facts standingFacts
	if err := json.Unmarshal(raw, &facts); err != nil {
		return nil, fmt.Errorf("%s is no client with rivals: %w", s.facts, err)
	}
	folder, err := os.MkdirTemp("", "inktally-standing-")
	if err != nil {
		return nil, err
	}
	defer os.RemoveAll(folder)
	db, err := store.Open(ctx, filepath.Join(folder, "facts.db"))
	if err != nil {
		return nil, err
	}
	defer db.Close()
	a, err := app.New(ctx, app.Options{DB: db})
	if err != nil {
		return nil, err
	}
	defer a.Close()
	client, err := facts.make(ctx, a)
	if err != nil {
		return nil, err
	}
	return s.read(ctx, a, client, files)
}

// make makes the client and its rivals.
func (f *standingFacts) make(ctx context.Context, a *app.App) (int64, error) {
	sites := f.Sites
	for _, r := range f.Rivals {
		if r.Chain {
			sites = append(sites, strings.TrimPrefix(strings.TrimPrefix(r.URL, "https://"), "http://")+" chain")
		}
	}
	if len(sites) > 0 {
		if _, err := a.Lineup.ImportSites(ctx, strings.Join(sites, "\n")); err != nil {
			return 0, err
		}
	}
	g, err := a.Ground.New(ctx, f.Business)
	if err != nil {
		return 0, err
	}
	lineup := int64(0)
	for i, r := range f.Rivals {
		at := r.Map
		if at == 0 {
			at = i + 1
		}
		l, err := a.Lineup.AddTyped(ctx, g.ID, lineup, "rivals", view.EntryDraft{Part: "map", Position: at,
			Name: r.Name,
			URL:  r.URL, Phone: r.Phone, Reviews: r.Reviews})
		if err != nil {
			return 0, err
		}
		lineup = l.ID
	}
	for domain, verdict := range f.Domains {
		if _, err := a.Standing.Judge(ctx, g.ID, []string{domain}, verdict.Core()); err != nil {
			return 0, err
		}
	}
	return g.ID, nil
}

// read reads files into the copy of a client's data, and returns what they come to.
func (s *standingRun) read(ctx context.Context, a *app.App, client int64, files []string) (out *standingRead,
	err error) {
	out = &standingRead{Domains: map[string]*stood.LinkDomains{}}
	for _, name := range files {
		read, err := s.file(ctx, a, client, name)
		if err != nil {
			return nil, err
		}
		out.Files = append(out.Files, read...)
	}
	if out.Standing, err = a.Standing.Get(ctx, client); err != nil {
		return nil, err
	}
	for _, verdict := range []string{"get", "listing", "doubtful", "leave", "own"} {
		all := &stood.LinkDomains{}
		for from := 0; from == 0 || from < all.Total; from += len(all.List) {
			some, err := a.Standing.Domains(ctx, client, verdict, len(all.List))
			if err != nil {
				return nil, err
			}
			all.Total, all.Counts, all.List = some.Total, some.Counts, append(all.List, some.List...)
			if len(some.List) == 0 {
				break
			}
		}
		out.Domains[verdict] = all
	}
	if out.Listings, err = a.Standing.Listings(ctx, client); err != nil {
		return nil, err
	}
	out.Profile, err = a.Standing.Profile(ctx, client)
	return out, err
}

// file reads and keeps all tables of a file that are known. What cannot be read is told beside the file.
func (s *standingRun) file(ctx context.Context, a *app.App, client int64, name string) (out []standingFile, err error) {
	body, err := os.ReadFile(name)
	if err != nil {
		return nil, err
	}
	short := filepath.Base(name)
	read, err := a.Standing.Read(ctx, client, short, body, nil)
	if err != nil {
		return []standingFile{{File: name, Fault: sentence(err)}}, nil
	}
	for i, t := range read.Tables {
		f := standingFile{File: name, FigureTable: t}
		f.Choices = nil
		layout := stood.FigureLayout{Table: i, Kind: t.Kind, Heading: t.Heading, Columns: t.Columns, Site: t.Site}
		if layout.Site == "" {
			layout.Site = s.site
		}
		if _, err := a.Standing.Keep(ctx, client, short, body, layout); err != nil {
			f.Fault = sentence(err)
		}
		out = append(out, f)
	}
	return out, nil
}

// printStanding prints what files come to for a person.
func printStanding(out io.Writer, r *standingRead) error {
	var b strings.Builder
	for _, f := range r.Files {
		fmt.Fprintf(&b, "%s: %s\n", f.File, orElse(f.Fault, "read "+f.Finds))
		for _, l := range f.LeftOut {
			fmt.Fprintf(&b, "  left out: %s: %s\n", l.Text, l.Why)
		}
	}
	for _, g := range r.Standing.Groups {
		fmt.Fprintf(&b, "%s: %s\n", g.Name, orElse(g.Says, "nothing known to be done"))
	}
	for i, t := range r.Standing.Targets {
		fmt.Fprintf(&b, "%2d. %s (%.0f min) %s\n", i+1, t.Says, t.Minutes, t.More)
		for _, p := range t.Parts {
			fmt.Fprintf(&b, "    %s\n", p.Says)
		}
	}
	_, err := io.WriteString(out, b.String())
	return err
}

func orElse(s, other string) string {
	if s == "" {
		return other
	}
	return s
}
