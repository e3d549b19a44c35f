package e2e

import (
	"archive/zip"
	"bytes"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"maps"
	"net/http"
	"net/url"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
	"time"

	"inktally/internal/view"
	"inktally/internal/view/told"
	"inktally/internal/wording"

	"github.com/chromedp/cdproto/browser"
	"github.com/chromedp/chromedp"
	"github.com/ledongthuc/pdf"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// file returns a document of a client as a file.
func file(t *testing.T, p *program, client int64, document, format, page string) []byte {
	t.Helper()
	resp, err := http.Get(fmt.Sprintf("%s/api/clients/%d/documents/%s?format=%s&page=%s", p.base, client, document,
		format, url.QueryEscape(page)))
	require.NoError(t, err)
	defer resp.Body.Close()
	body, err := io.ReadAll(resp.Body)
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, resp.StatusCode, "%s %s: %s", document, format, body)
	return body
}

// readBack returns the words of a file.
func readBack(t *testing.T, format string, body []byte) string {
	t.Helper()
	var out strings.Builder
	switch format {
	case "html":
		doc, err := html.Parse(bytes.NewReader(body))
		require.NoError(t, err)
		for n := range doc.Descendants() {
			if n.Type == html.TextNode && n.Parent.DataAtom != atom.Style && n.Parent.DataAtom != atom.Title {
				out.WriteString(n.Data + " ")
			}
		}
	case "docx":
		z, err := zip.NewReader(bytes.NewReader(body), int64(len(body)))
		require.NoError(t, err)
		r, err := z.Open("word/document.xml")
		require.NoError(t, err)
		for d := xml.NewDecoder(r); ; {
			token, err := d.Token()
			if errors.Is(err, io.EOF) {
				break
			}
			require.NoError(t, err)
			switch token := token.(type) {
			case xml.CharData:
				out.Write(token)
			case xml.EndElement:
				if token.Name.Local == "p" {
					out.WriteString(" ")
				}
			}
		}
	case "pdf":
		r, err := pdf.NewReader(bytes.NewReader(body), int64(len(body)))
		require.NoError(t, err)
		text, err := r.GetPlainText()
		require.NoError(t, err)
		_, err = io.Copy(&out, text)
		require.NoError(t, err)
	default:
		out.Write(body)
	}
	return strings.Join(strings.Fields(strings.ReplaceAll(out.String(), "|", " ")), " ")
}

var (
	figures   = regexp.MustCompile(`\d[\d,.]*\d|\d`)
	durations = regexp.MustCompile(`\d+ h \d+ min|\d+ h|\d+ min`)
)

// counted returns how often each figure stands in a text.
func counted(text string) map[string]int {
	out := map[string]int{}
	for _, f := range figures.FindAllString(text, -1) {
		out[f]++
	}
	return out
}

// saved saves a document through the browser and returns it.
func saved(t *testing.T, s *screen, ext, button string) []byte {
	t.Helper()
	dir := t.TempDir()
	_, err := chromedp.CallBrowser(s.ctx, browser.SetDownloadBehavior, browser.SetDownloadBehaviorParams{
		Behavior: browser.SetDownloadBehaviorBehaviorAllow, DownloadPath: dir})
	require.NoError(t, err)
	s.press(button)
	deadline := time.Now().Add(60 * time.Second)
	for {
		files, err := filepath.Glob(filepath.Join(dir, "*."+ext))
		require.NoError(t, err)
		if len(files) == 1 {
			raw, err := os.ReadFile(files[0])
			require.NoError(t, err)
			if len(raw) > 0 {
				return raw
			}
		}
		require.True(t, time.Now().Before(deadline), "nothing was downloaded")
		time.Sleep(50 * time.Millisecond)
	}
}

// clientsOf returns the clients of the demo by their names.
func clientsOf(t *testing.T, p *program) map[string]int64 {
	t.Helper()
	out := map[string]int64{}
	for _, r := range get[[]struct {
		ID   int64  `json:"id"`
		Name string `json:"name"`
	}](t, p, "/api/clients") {
		out[r.Name] = r.ID
	}
	return out
}

// task returns what the work of a target is told as to an owner, worked out here by itself.
func task(x view.Target, made map[string]bool) string {
	switch {
	case x.Kind == "fix" && !made[x.Page]:
		return "What to put right first"
	case made[x.Page] || x.Front == "pages":
		return "Pages to make"
	case x.Front == "words":
		return "Words to write"
	case x.Front == "images":
		return "Pictures"
	}
	return "The words that people search for"
}

// All formats of a document have the same figures, and those of the owner's plan are those of the program: of its
// sheet, its targets, its ladder and of what sites are found for.
func TestDocumentsAreTrue(t *testing.T) {
	p := demo(t)
	for name, client := range clientsOf(t, p) {
		api := fmt.Sprintf("/api/clients/%d", client)
		for _, document := range []string{"plan", "one-page", "walk", "briefs"} {
			said := readBack(t, "html", file(t, p, client, document, "html", ""))
			assert.Contains(t, said, name)
			assert.NotRegexp(t, `%!|<nil>|undefined|NaN`, said)
			assert.Equal(t, counted(said), counted(readBack(t, "docx", file(t, p, client, document, "docx", ""))),
				"%s of %s as DOCX", document, name)
			if document != "briefs" { // 30 pages of the same
				assert.Equal(t, counted(said), counted(readBack(t, "pdf", file(t, p, client, document, "pdf", ""))),
					"%s of %s as PDF", document, name)
			}
			if document == "plan" || document == "one-page" {
				explained(t, p, api, said)
			}
		}
		said := readBack(t, "md", file(t, p, client, "plan", "md", ""))
		plan := get[view.Plan](t, p, api+"/plan")
		made := map[string]bool{}
		for _, x := range plan.Targets {
			made[x.Page] = made[x.Page] || x.Kind == "new_page"
		}
		jobs, minutes := map[string]int{}, map[string]float64{}
		for _, x := range plan.Targets {
			of := task(x, made)
			jobs[of]++
			minutes[of] += x.Minutes
			jobs["Together"]++
			minutes["Together"] += x.Minutes
		}
		for of, n := range jobs {
			assert.Contains(t, strings.ReplaceAll(said, "**", ""), fmt.Sprintf("%s %s %s", of, wording.Number(n),
				wording.Duration(minutes[of])), name)
		}
		for _, rung := range get[told.Ladder](t, p, api+"/plan/ladder").Rungs {
			row := said[max(0, strings.Index(said, rung.Name)):]
			for _, step := range rung.Steps {
				if step.Theirs != nil && step.Own != nil && step.Content {
					assert.Contains(t, row[:min(len(row), 3000)], " "+wording.Number(int(*step.Theirs))+" ", rung.Name)
				}
			}
		}
	}
}

// explained asserts that each figure of a text is one that the program gives elsewhere.
func explained(t *testing.T, p *program, api, said string) {
	t.Helper()
	plan := get[view.Plan](t, p, api+"/plan")
	known := map[string]bool{}
	note := func(n float64) { known[wording.Number(int(n+.5))] = true }
	for _, x := range plan.Targets {
		note(float64(x.Words))
		note(float64(len(x.Parts)))
	}
	for _, d := range durations.FindAllString(said, -1) {
		assert.NotEqual(t, "0 min", d)
	}
	said = durations.ReplaceAllString(said, "")
	for _, path := range []string{"/plan", "/plan/ladder", "/found", "/lineup", "/walk", "/standing", ""} {
		raw := get[any](t, p, api+path)
		each(raw, func(n float64, s string) {
			note(n)
			for f := range counted(s) {
				known[f] = true
			}
		})
	}
	found := get[told.Found](t, p, api+"/found")
	if w, sums := found.AimedWorth, found.Sites[0].Sums; w != nil && sums != nil && sums.Worth != nil {
		note(w.Most - sums.Worth.Most)
		note(w.Least - sums.Worth.Least)
		known[fmt.Sprintf("%.0f", w.Customers-sums.Worth.Customers)] = true
	}
	words := map[string]int{}
	for _, x := range plan.Targets {
		words[x.Page] += x.Words
	}
	for n := range maps.Values(words) {
		note(float64(n))
	}
	for f := range counted(said) {
		assert.True(t, known[f] || known[strings.TrimSuffix(f, ".0")], "%s stands in %q and nowhere else", f, said)
	}
}

// each walks over the figures and texts of an answer.
func each(v any, see func(n float64, s string)) {
	switch v := v.(type) {
	case float64:
		see(v, "")
	case string:
		see(0, v)
	case []any:
		see(float64(len(v)), "")
		for _, e := range v {
			each(e, see)
		}
	case map[string]any:
		for _, e := range v {
			each(e, see)
		}
	}
}

// pencilledPage is what stands on a pencilled page: what is in pencil, and the numbers of its notes.
type pencilledPage struct {
	wanted []string
	whole  string
	notes  map[string]bool
}

func readPencilled(t *testing.T, body []byte) (out pencilledPage) {
	t.Helper()
	doc, err := html.Parse(bytes.NewReader(body))
	require.NoError(t, err)
	out.notes = map[string]bool{}
	for n := range doc.Descendants() {
		class := ""
		for _, a := range n.Attr {
			if a.Key == "class" {
				class = " " + a.Val + " "
			}
			asks := a.Key == "src" && !strings.HasPrefix(a.Val, "data:")
			assert.False(t, strings.HasPrefix(a.Key, "on") || asks, a.Key)
		}
		text := func() string {
			var said strings.Builder
			for d := range n.Descendants() {
				if d.Type == html.TextNode && classOf(d.Parent) != " label " {
					said.WriteString(d.Data)
				}
			}
			return strings.TrimSpace(strings.TrimPrefix(strings.Join(strings.Fields(said.String()), " "), "‸"))
		}
		switch {
		case n.DataAtom == atom.Script, n.DataAtom == atom.Link, n.DataAtom == atom.Iframe:
			t.Errorf("a %s stands in a document that asks for nothing", n.Data)
		case strings.Contains(class, " wanted ") || strings.Contains(class, " alt "):
			out.wanted = append(out.wanted, text())
		case n.DataAtom == atom.B && classOf(n.Parent) == " note ":
			out.notes[text()] = true
		}
	}
	out.whole = readBack(t, "html", body)
	return out
}

func classOf(n *html.Node) string {
	for _, a := range n.Attr {
		if a.Key == "class" {
			return " " + a.Val + " "
		}
	}
	return ""
}

// What is pencilled on each page of three clients, on those to make too, is what the targets say: all of it, and
// nothing else.
func TestPencilledSaysTheTargets(t *testing.T) {
	p := demo(t)
	pages := 0
	for name, client := range clientsOf(t, p) {
		api := fmt.Sprintf("/api/clients/%d", client)
		plan := get[view.Plan](t, p, api+"/plan")
		ground := get[view.Ground](t, p, api)
		var towns []string
		for _, place := range ground.Places {
			towns = append(towns, place.Name)
		}
		for _, page := range plan.Pages {
			read := readPencilled(t, file(t, p, client, "pencilled", "html", page.Key))
			brief := readBack(t, "md", file(t, p, client, "brief", "md", page.Key))
			pages++
			may := map[string]bool{}
			for _, x := range plan.Targets {
				if x.Page != page.Key || x.Choice.State == "dropped" {
					continue
				}
				may[x.Pencil] = true
				for _, part := range x.Parts {
					if part.Choice.State == "dropped" {
						continue
					}
					may[part.Pencil] = true
					says := part.Pencil
					if says == "" {
						says = strings.TrimSpace(part.Before)
					}
					says = strings.Join(strings.Fields(strings.ReplaceAll(says, "|", " ")), " ")
					assert.Contains(t, strings.ToLower(read.whole), strings.ToLower(says), "%s, %s: %s", name, page.Key,
						part.Key)
				}
			}
			for _, w := range read.wanted {
				town := false
				for _, place := range towns {
					town = town || w == place || strings.Contains(w, place) && strings.Contains(w, " and ")
				}
				assert.True(t, may[w] || town, "%q on %s of %s is asked for by nothing", w, page.Key, name)
			}
			for no := range read.notes {
				assert.Contains(t, brief, "**"+no+"**", "a number of %s that is none of the brief", page.Key)
			}
		}
	}
	assert.Greater(t, pages, 20)
}

// From the hand-off a plan is saved as a Word document in two clicks; it is headed by the agency's name once that is
// set, and a page to make has its pencilled page too.
func TestHandoffView(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/targets", client))
	s.press("Hand-off")
	s.sees("Home page of Brindle & Ash Chimney")
	s.click(`[...document.querySelectorAll('nav[aria-label=Pages] a')]
		.find(a => a.textContent.includes('Masonry repair'))`)
	s.sees("Masonry repair page of Brindle & Ash Chimney")
	s.press("Brief")
	s.sees("Brief: Masonry repair page of Brindle & Ash Chimney")
	s.press("Plan")
	s.sees("Where you stand today")
	s.press("Your name and logo")
	s.fill("[name=agency]", "Quill & Tally")
	s.fill("[name=footer]", "555-0117 <b>")
	s.press("Save")
	s.sees("555-0117 <b>")
	said := saved(t, s, "docx", "Save as DOCX")
	assert.Contains(t, readBack(t, "docx", said), "Quill & Tally Plan for Brindle & Ash Chimney")
	assert.True(t, bytes.HasPrefix(saved(t, s, "pdf", "Save as PDF"), []byte("%PDF")))
	assert.Equal(t, http.StatusUnprocessableEntity, send(t, p, http.MethodPut, "/api/letterhead",
		told.Letterhead{Logo: "bm8gcGljdHVyZQ==", Size: "a4", Tone: "ink"}))
	kept := get[told.Letterhead](t, p, "/api/letterhead")
	assert.Equal(t, "Quill & Tally", kept.Name, "what is refused changes nothing")
}
