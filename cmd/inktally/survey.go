package main

import (
	"context"
	"fmt"
	"io"
	"slices"
	"strings"
	"text/tabwriter"

	"inktally/core/contact"
	"inktally/core/fault"
	"inktally/core/finding"
	"inktally/core/gazetteer"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/survey"
	"inktally/internal/view"
	"inktally/internal/wording"

	"github.com/spf13/cobra"
)

func surveyCommand() *cobra.Command {
	var s surveying
	cmd := &cobra.Command{
		Use:   "survey [--json] [--service NAME,SYNONYM,...]... [--place NAME,SPELLING,...]... [--rival URL]... URL",
		Short: "Finds the pages of a site, what they are for, what is wrong, and the comparable pages of rivals",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			out, err := s.run(cmd.Context(), args[0], cmd.ErrOrStderr())
			if err != nil {
				return err
			}
			if s.asJSON {
				return printJSON(cmd.OutOrStdout(), out)
			}
			return out.table(cmd.OutOrStdout())
		},
	}
	s.web.flags(cmd)
	cmd.Flags().BoolVar(&s.asJSON, "json", false, "print JSON")
	cmd.Flags().StringArrayVar(&s.services, "service", nil,
		"a service with other words for it, parted by commas; the first is the main one")
	cmd.Flags().StringArrayVar(&s.places, "place", nil,
		"a place with other spellings, parted by commas; the first is the home town")
	cmd.Flags().StringArrayVar(&s.rivals, "rival", nil, "the site of a rival; may be given more than once")
	cmd.Flags().StringVar(&s.firm, "firm", "", "the name of the business: a place in it is no contradiction")
	cmd.Flags().StringVar(&s.phone, "phone", "",
		"the phone of the business: a site of a rival that has it is its own, and no rival")
	cmd.Flags().StringVar(&s.language, "language", "",
		"the language of the services, such as en or fr; English if it is not given")
	cmd.Flags().IntVar(&s.most, "most", 0, "how many pages are visited at most; 200 if it is not given")
	return cmd
}

// surveying is what is asked of a survey.
type surveying struct {
	web                      webFlags
	services, places, rivals []string
	language                 string
	firm, phone              string
	most                     int
	asJSON                   bool
	gist                     func(*page.Page) *site.Gist
}

// surveyJSON is a survey as it is printed.
type surveyJSON struct {
	Pages    []surveyPage                  `json:"pages"`
	Findings []surveyFinding               `json:"findings"`
	Missed   []view.MissedPage             `json:"missed"`
	Rivals   map[string]surveyRival        `json:"rivals"`
	Like     map[string]map[string]*string `json:"like"`
}

type surveyPage struct {
	URL     string    `json:"url"`
	Kind    site.Kind `json:"kind"`
	Service *string   `json:"service"`
	Place   *string   `json:"place"`
	Title   string    `json:"title"`
	Words   int       `json:"words"`
	Reason  string    `json:"reason"`
}

// surveyFinding is what is wrong, with the facts that its type has: other pages that it is about, the
// service, the place that was found and where it stands.
type surveyFinding struct {
	Type    finding.Type  `json:"type"`
	URL     string        `json:"url"`
	Detail  string        `json:"detail"`
	URLs    []string      `json:"urls,omitempty"`
	Service string        `json:"service,omitempty"`
	Found   string        `json:"found,omitempty"`
	Slot    finding.Where `json:"slot,omitempty"`
}

func findingOf(f finding.Finding) surveyFinding {
	out := surveyFinding{Type: f.Type, URL: f.URL, Detail: wording.Finding(f), Found: f.Place, Slot: f.Where}
	if f.Other != "" {
		out.URLs = []string{f.URL, f.Other}
	}
	if len(f.Services) == 1 {
		out.Service = f.Services[0]
	}
	return out
}

type surveyRival struct {
	Pages []surveyPage `json:"pages"`
}

func (s surveying) run(ctx context.Context, typed string, warnings io.Writer) (surveyJSON, error) {
	out := surveyJSON{Pages: []surveyPage{}, Findings: []surveyFinding{}, Missed: []view.MissedPage{},
		Rivals: map[string]surveyRival{},
		Like:   map[string]map[string]*string{}}
	services, places, err := s.ground()
	if err != nil {
		return out, err
	}
	web, err := s.web.fetcher(warnings)
	if err != nil {
		return out, err
	}
	address, err := fetch.Address(typed)
	if err != nil {
		return out, err
	}
	binder := site.NewBinder(phrase.LanguageOf(s.language, places, phrase.Corrections{}), services,
		intent.ListsOfServices(s.language, services).Acts).Knows(townsAround(places))
	s.gist = func(p *page.Page) *site.Gist { return site.GistOf(p, binder, s.firm) }
	found, err := survey.Visit(ctx, survey.Plain{Fetcher: web}, address,
		survey.Options{Most: s.most, Gist: s.gist})
	if err != nil {
		return out, err
	}
	if found.Stopped != nil {
		fmt.Fprintln(warnings, "inktally:", sentence(found.Stopped))
	}
	rules := plan.StandardRules()
	asked := site.Survey{Visited: found.Visited, Dead: found.Dead, Root: found.Root, Both: found.Both,
		Plain: found.Plain, Firm: s.firm, Places: places,
		Binder: binder,
		Low:    func(k site.Kind) int { return rules.Words.Guideline(k).Low }}
	for _, service := range services {
		asked.Services = append(asked.Services, service.Name)
	}
	tree := asked.Tree()
	out.Pages, out.Missed = pagesOf(tree), view.MissedOf(found.Missed)
	for _, f := range tree.Findings {
		out.Findings = append(out.Findings, findingOf(f))
	}
	s.compare(ctx, web, tree, asked, &out, warnings)
	return out, nil
}

// farAway is how far from the home town a town may be that a page is for, in kilometers.
const farAway = 200

// townsAround finds towns around the home town.
func townsAround(places []place.Place) site.Towns {
	home, known := place.Home(places)
	state, _ := place.StateAbbreviation(home.State)
	town, ok := gazetteer.World().Find(home.Name, home.Country(), state)
	return func(tokens []string) []string {
		if !known || !ok {
			return nil
		}
		return gazetteer.World().NamedNear(town, farAway, tokens)
	}
}

// compare surveys the rivals lightly and finds their comparable pages.
func (s surveying) compare(ctx context.Context, web *fetch.Fetcher, tree site.Tree, asked site.Survey, out *surveyJSON,
	warnings io.Writer) {
	home, _ := place.Home(asked.Places)
	for _, typed := range s.rivals {
		address, err := fetch.Address(typed)
		if err != nil {
			fmt.Fprintln(warnings, "inktally:", sentence(err))
			continue
		}
		found, err := survey.Visit(ctx, survey.Plain{Fetcher: web}, address,
			survey.Options{Most: s.most, Lightly: true, Gist: s.gist})
		if err != nil {
			fmt.Fprintln(warnings, "inktally:", sentence(err))
			continue
		}
		if s.phone != "" && hasPhone(found.Visited, s.phone) {
			fmt.Fprintf(warnings, "inktally: %s has the phone of the business: it is its own site, and no rival\n",
				found.Domain)
			continue
		}
		theirs := asked
		theirs.Visited, theirs.Dead, theirs.Services = found.Visited, nil, nil
		rival := theirs.Tree()
		out.Rivals[found.Domain] = surveyRival{pagesOf(rival)}
		for _, p := range tree.Pages {
			if !p.Kind.HasWordTarget() {
				continue
			}
			if out.Like[p.URL] == nil {
				out.Like[p.URL] = map[string]*string{}
			}
			like, _ := site.LikePage(p, rival.Pages, home.Name)
			out.Like[p.URL][found.Domain] = view.OrNull(like.Page.URL)
		}
	}
}

// hasPhone reports whether a number stands on a page of a site: a site that shows the business's own is its own, and
// no rival (rule 6.2).
func hasPhone(visited []site.Visited, number string) bool {
	return slices.ContainsFunc(visited, func(v site.Visited) bool {
		return v.Gist != nil && slices.ContainsFunc(v.Gist.Phones, func(p contact.Phone) bool {
			return lineup.SameNumber(p.Number, number)
		})
	})
}

// pagesOf returns the pages of a site, each once: a second address of one is told among the findings.
func pagesOf(tree site.Tree) []surveyPage {
	out, copies := []surveyPage{}, finding.Copies(tree.Findings)
	for _, p := range tree.Pages {
		if copies[p.URL] {
			continue
		}
		out = append(out, surveyPage{p.URL, p.Kind, view.OrNull(p.Service), view.OrNull(p.Place), p.Title, p.Words,
			wording.Purpose(p.Purpose)})
	}
	return out
}

// ground reads the services and places that were typed.
func (s surveying) ground() (services []intent.Service, places []place.Place, err error) {
	for _, typed := range s.services {
		parts := typedParts(typed)
		if len(parts) == 0 {
			return nil, nil, fault.ServiceNoWord.New(typed)
		}
		services = append(services, intent.Service{Name: parts[0], Words: parts[1:]})
	}
	for i, typed := range s.places {
		parts := typedParts(typed)
		if len(parts) == 0 {
			return nil, nil, fault.PlaceNoWord.New(typed)
		}
		p := place.Parse(parts[0])
		p.Home = i == 0
		for _, more := range parts[1:] {
			if len(place.Regions(more)) > 0 && p.State == "" {
				p.State = more // "Tarn Harbor, ME"
			} else {
				p.Spellings = append(p.Spellings, more)
			}
		}
		places = append(places, p)
	}
	return services, places, nil
}

func typedParts(typed string) (parts []string) {
	for _, part := range strings.Split(typed, ",") {
		if part = text.Collapse(part); len(text.Tokens(part)) > 0 {
			parts = append(parts, part)
		}
	}
	return parts
}

func (s surveyJSON) table(out io.Writer) error {
	w := tabwriter.NewWriter(out, 0, 0, 2, ' ', 0)
	for _, p := range s.Pages {
		fmt.Fprintf(w, "%s\t%d\t%s\t%s\n", p.Kind, p.Words, p.URL, p.Reason)
	}
	for _, f := range s.Findings {
		fmt.Fprintf(w, "%s\t\t%s\t%s\n", f.Type, f.URL, f.Detail)
	}
	return w.Flush()
}
