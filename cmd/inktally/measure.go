package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"strings"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/style"
	"inktally/core/text"
	"inktally/internal/app/readings"
	"inktally/internal/fetch"
	"inktally/internal/fetch/saved"

	"github.com/spf13/cobra"
)

func measureCommand() *cobra.Command {
	var phrases, services, places []string
	var language string
	var m measuring
	cmd := &cobra.Command{
		Use:   "measure [--json] [--phrase P]... FILE|FOLDER|URL|-",
		Short: "Measures a page, or every page below a folder or in a web archive",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) (err error) {
			ctx := cmd.Context()
			if m.asked, err = askedOf(phrases, services, places, language); err != nil {
				return err
			}
			m.out, m.warn, m.in = cmd.OutOrStdout(), cmd.ErrOrStderr(), cmd.InOrStdin()
			return m.all(ctx, args[0], cmd.ErrOrStderr())
		},
	}
	m.web.flags(cmd)
	cmd.Flags().BoolVar(&m.asJSON, "json", false, "print JSON, one object for each page")
	cmd.Flags().BoolVar(&m.ignoreRobots, "ignore-robots", false,
		"read a page although its robots.txt asks programs not to")
	cmd.Flags().BoolVar(&m.rendered, "rendered", false, "read a page of the web as a browser renders it")
	// Their former names still serve.
	cmd.Flags().BoolVar(&m.ignoreRobots, "overrule", false, "")
	cmd.Flags().BoolVar(&m.rendered, "drawn", false, "")
	_, _ = cmd.Flags().MarkHidden("overrule"), cmd.Flags().MarkHidden("drawn")
	cmd.Flags().StringArrayVar(&phrases, "phrase", nil, "a phrase of the page; may be given more than once")
	cmd.Flags().StringArrayVar(&services, "service", nil, "a service that the business sells, for the image names")
	cmd.Flags().StringArrayVar(&places, "place", nil,
		`a place of the business, such as "Tarn Harbor, ME"; the first is the home town`)
	cmd.Flags().StringVar(&language, "language", "",
		"the language of the phrases, such as en or pt-BR; that of the page if it is not given")
	cmd.Flags().StringVar(&m.address, "url", "", "the address of a saved page")
	return cmd
}

// measuring is what is asked of each page.
type measuring struct {
	asked        asked
	web          webFlags
	address      string
	asJSON       bool
	ignoreRobots bool
	rendered     bool
	out, warn    io.Writer
	in           io.Reader
	cache        style.Cache
}

// all measures what an argument names. In a folder a file that cannot be read
// is told and passed over.
func (m *measuring) all(ctx context.Context, from string, warnings io.Writer) error {
	info, err := os.Stat(from)
	switch {
	case err == nil && info.IsDir():
		return m.folder(ctx, from, warnings)
	case err == nil || from == "-" || !strings.Contains(from, ":"):
		return m.file(from)
	}
	return m.fromWeb(ctx, from)
}

// folder measures every page below a folder.
func (m *measuring) folder(ctx context.Context, dir string, warnings io.Writer) error {
	var names []string
	err := filepath.WalkDir(dir, func(name string, d fs.DirEntry, err error) error {
		switch {
		case err != nil && name == dir:
			return fetch.FileUnreadable.New(name).Because(err)
		case err != nil:
			fmt.Fprintln(warnings, "inktally:", sentence(fetch.FileUnreadable.New(name)))
		case !d.IsDir() && !d.Type().IsRegular() && saved.IsPage(name):
			fmt.Fprintln(warnings, "inktally:", sentence(fetch.FileUnreadable.New(name)))
		case d.Type().IsRegular() && saved.IsPage(name):
			names = append(names, name)
		}
		return nil
	})
	if err != nil {
		return err
	}
	if len(names) == 0 {
		return FolderWithoutPage.New(dir)
	}
	for _, name := range names {
		if ctx.Err() != nil {
			return ctx.Err()
		}
		if err := m.file(name); err != nil {
			fmt.Fprintln(warnings, "inktally:", sentence(err))
		}
	}
	return nil
}

// file measures a saved page, all pages of a web archive, or standard input.
func (m *measuring) file(name string) error {
	if name == "-" {
		doc, err := fetch.Stream("standard input", m.in)
		if err != nil {
			return err
		}
		return m.page("standard input", doc.Body, page.Source{})
	}
	doc, err := fetch.File(name)
	if err != nil {
		return err
	}
	file := saved.File{Name: filepath.Base(name), Body: doc.Body}
	pages, problems := saved.Read([]saved.File{file})
	if !saved.IsArchive(file) {
		src := page.Source{URL: doc.URL, Base: fetch.FileBase(doc), Sheets: fetch.FileSheets(doc)}
		if len(pages) == 1 {
			src.ContentType = pages[0].Document.ContentType
		}
		return m.page(name, doc.Body, src)
	}
	for _, p := range pages {
		src := page.Source{URL: p.Document.URL, ContentType: p.Document.ContentType, Base: p.Base, Sheets: p.Sheets}
		if err := m.page(name, p.Document.Body, src); err != nil {
			return err
		}
	}
	if len(problems) > 0 {
		return inFile(problems[0])
	}
	return nil
}

// inFile is the failure of a file with its name before it.
func inFile(p saved.Problem) error { return fmt.Errorf("%s: %s", p.File, sentence(p.Err)) }

// fromWeb measures a page at an address, as served or as rendered.
func (m *measuring) fromWeb(ctx context.Context, typed string) error {
	address, err := fetch.Address(typed)
	if err != nil {
		return err
	}
	web, err := m.web.fetcher(m.warn)
	if err != nil {
		return err
	}
	ask := fetch.Request{Address: address, IgnoreRobots: m.ignoreRobots}
	var doc fetch.Document
	src := page.Source{Rendered: m.rendered}
	if m.rendered {
		browser := m.web.browser(web)
		defer browser.Close()
		doc, err = browser.Render(ctx, ask)
	} else if doc, err = web.Get(ctx, ask); err == nil {
		src.Sheets = web.Sheets(ctx, doc)
	}
	if err != nil {
		return err
	}
	src.URL, src.ContentType = doc.URL, doc.ContentType
	return m.page(typed, doc.Body, src)
}

// page measures one page and prints what it finds.
func (m *measuring) page(name string, body []byte, src page.Source) error {
	src.Cache = &m.cache
	if m.address != "" {
		src.URL = m.address
	}
	p := page.Read(body, src)
	if p.Warns(page.NotHTML) {
		return readings.FileNotAPage.New(name)
	}
	r := reportOf(sheet.Measure(p, m.criteria(p)))
	if m.asJSON {
		return json.NewEncoder(m.out).Encode(r)
	}
	return r.table(m.out)
}

// asked is what pages are measured for.
type asked struct {
	phrases, services []string
	places            []place.Place
	language          string // of the phrases; empty is that of each page
}

func askedOf(phrases, services, places []string, language string) (asked, error) {
	a := asked{phrases: phrases, services: services, language: language}
	for _, p := range phrases {
		if len(text.Tokens(p)) == 0 {
			return a, fault.PhraseNoWord.New(p)
		}
	}
	for i, s := range places {
		p := place.Parse(s)
		p.Home = i == 0
		a.places = append(a.places, p)
	}
	return a, nil
}

// criteria returns what a page is measured by. Without a client it is its own
// language that decides which phrases are of one family.
func (m *measuring) criteria(p *page.Page) *sheet.Criteria {
	language := m.asked.language
	if language == "" {
		language = p.Lang
	}
	home, _ := place.Home(m.asked.places)
	return sheet.NewCriteria(sheet.Asked{Phrases: m.asked.phrases, Services: m.asked.services, Place: home,
		Language: phrase.LanguageOf(language, m.asked.places, phrase.Corrections{})})
}
