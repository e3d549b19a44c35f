package e2e

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"inktally/core/plan"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The whole path: a new client, its rivals, the sheet, the targets, and the
// brief as a file.
func TestWholePath(t *testing.T) {
	p := demo(t)
	s := look(t, p)
	s.open("/")
	s.press("New client")
	s.fill("[name=name]", "Cinder Lane Sweeps")
	s.fill("[name=home_page]", "brindleandash.example")
	s.paste("[name=service]", "chimney sweep\nflue liner installation, flue liner")
	s.paste("[name=place]", "Tarn Harbor, ME\nOstrey")
	s.fill("[name=phrases]", "chimney sweep tarn harbor\nflue liner tarn harbor")
	s.press("Save and find rivals")
	s.press("Search")
	s.sees("lists 17 businesses")
	s.sees("Position 2: no business here")
	s.until(`document.querySelectorAll('[role=row].taken').length === 4`)
	s.until(`document.querySelector('[role=row].own').innerText.startsWith('14')`)

	// A rival set aside and taken back.
	s.click(`document.querySelector('[data-entry="Old Saltbox Masonry"] button')`)
	s.sees("Measure 3 rivals")
	s.press("Undo")
	s.press("Measure 4 rivals")

	s.until(`document.querySelector('[data-run=done]')`)
	s.until(`document.querySelectorAll('[data-cell=seen]').length === 5`)
	assert.Equal(t, "545", eval[string](s, `document.querySelector('[data-cell=seen]').dataset.figure`))
	s.sees("1,455 to write")

	page := eval[int](s, `+location.pathname.split('/')[4]`)
	s.press("Targets")
	s.until(`document.querySelector('[data-kind=placing]')`)
	client := eval[int](s, `+location.pathname.split('/')[2]`)

	// One part kept, one changed, one dropped; the choices survive measuring again.
	s.click(`document.querySelector('[data-kind=placing]')`)
	part := func(key string) string { return fmt.Sprintf(`document.querySelector('[data-part=%q]')`, key) }
	on := func(key, button string) {
		t.Helper()
		s.click(fmt.Sprintf(`[...%s?.querySelectorAll('button') ?? []].find(b => b.textContent.includes(%q))`,
			part(key), button))
	}
	on("h1: chimney harbor sweep tarn", "Keep")
	s.until(part("h1: chimney harbor sweep tarn") + `?.dataset.state === 'kept'`)
	on("title: chimney harbor sweep tarn", "Change")
	s.fill("[name=value]", "Chimney sweep Tarn Harbor | Cinder Lane")
	s.press("Change")
	s.sees("changed by hand")
	on("opening: chimney harbor sweep tarn", "Drop")
	s.until(part("opening: chimney harbor sweep tarn") + `?.dataset.state === 'dropped'`)
	s.fill("[name=hours]", "1")
	eval[bool](s, `(document.querySelector('[name=hours]').blur(), true)`)
	s.sees("1 hour ends here")
	idle(t, p, int64(client))
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, fmt.Sprintf("/api/clients/%d/run", client), nil))
	idle(t, p, int64(client))
	s.until(`document.querySelector('[data-run=done]')`)
	s.sees("changed by hand")

	s.press("Hand-off")
	s.sees("Numbers are those of the brief")
	s.press("Brief")
	s.sees("Brief: Home page of")
	written := eval[string](s, documentText)
	markdown := string(saved(t, s, "md", "Save as Markdown"))
	made := get[view.Plan](t, p, fmt.Sprintf("/api/clients/%d/plan", client))
	require.Greater(t, len(made.Targets), 8)
	for _, x := range made.Targets {
		if x.Page != fmt.Sprintf("p%d", page) || x.Choice.State == "dropped" {
			continue
		}
		for _, part := range x.Parts {
			line := briefLine(x, part)
			if part.Choice.State == "dropped" {
				assert.NotContains(t, markdown, line)
				continue
			}
			line = strings.NewReplacer("[", `\[`, "]", `\]`).Replace(line) // no link
			at := strings.Index(markdown, line)
			if !assert.GreaterOrEqual(t, at, 0, "the brief lacks %q", line) {
				continue
			}
			assert.Contains(t, written, part.Pencil)
		}
	}
	assert.Contains(t, markdown, "Chimney sweep Tarn Harbor | Cinder Lane")
	assert.Contains(t, markdown, "545 words now, 2,000 wanted: **1,455 words** to write.")
	require.Equal(t, http.StatusNoContent, send(t, p, http.MethodDelete, fmt.Sprintf("/api/clients/%d", client), nil))
}

// briefLine returns how the brief has a part of a target: a section to write by what its target says, what goes into it
// as something to use there.
func briefLine(x view.Target, part view.Part) string {
	name, before, pencil, after := part.Name+": ", part.Before, part.Pencil, part.After
	if x.Kind == view.TargetKind(plan.Slice) {
		switch part.Kind {
		case view.PartKind(plan.Words):
			name, before, pencil, after = "", x.Before, x.Pencil, x.After
		case view.PartKind(plan.Subhead):
			before = "use"
		case view.PartKind(plan.Body):
			before, after = "use", "" // as often as it says, here
		}
	}
	if pencil == "" {
		return strings.TrimSpace(name + before)
	}
	return name + strings.TrimSpace(strings.TrimSpace(before+" **"+pencil+"**")+" "+after)
}

// The short way in: one line goes straight to the sheet.
func TestShortWay(t *testing.T) {
	p := demo(t)
	s := look(t, p)
	s.open("/")
	s.fill("[name=address]", "lanternsweeps.example")
	s.fill("[name=phrase]", "chimney sweep tarn harbor")
	s.fill("[name=rivals]", "harborflue.example, http://www.oldsaltbox.example/")
	s.press("Measure")
	s.until(`document.querySelectorAll('[data-cell=seen]').length === 3`)
	s.until(`document.querySelector('[data-run=done]')`)
	assert.Equal(t, []string{"1016", "1726", "381"},
		eval[[]string](s, `[...document.querySelectorAll('[data-cell=seen]')].map(c => c.dataset.figure)`))
	client := eval[int](s, `+location.pathname.split('/')[2]`)
	require.Equal(t, http.StatusNoContent, send(t, p, http.MethodDelete, fmt.Sprintf("/api/clients/%d", client), nil))
}

// The API has a page of its own, made from what the program says of it.
func TestAPIPage(t *testing.T) {
	s := look(t, demo(t))
	s.open("/")
	s.press("?")
	s.press("the API")
	s.sees("The phrase book in families, those worth writing for first")
	s.click(
		`[...document.querySelectorAll('.opblock-summary-control')].find(b => b.innerText.includes('The phrase book in families'))`)
	s.sees("Responses")
}

// What cannot be taken is said in one sentence, and nothing typed is lost.
func TestBadEntries(t *testing.T) {
	s := look(t, demo(t))
	for address, says := range map[string]string{
		"file:///etc/passwd":  "begins with file:",
		"javascript:alert(1)": "begins with javascript:",
		"http://":             "names no site",
		"two words.example":   "holds a space",
		"shop":                "no dot",
	} {
		t.Run(address, func(t *testing.T) {
			s.open("/")
			s.fill("[name=address]", address)
			s.fill("[name=phrase]", "chimney sweep")
			s.fill("[name=rivals]", "one.example")
			s.press("Measure")
			s.until(`document.querySelector('.short [role=alert]')`)
			assert.Contains(t, eval[string](s, `document.querySelector('.short [role=alert]').textContent`), says)
			assert.Equal(t, address, s.value("[name=address]"))
			assert.Equal(t, "one.example", s.value("[name=rivals]"))
		})
	}
	s.open("/")
	s.fill("[name=address]", "shop.example")
	s.fill("[name=phrase]", "   ")
	s.press("Measure")
	s.sees("A phrase is missing")
	assert.Equal(t, "shop.example", s.value("[name=address]"))
}

// A page that fails says why and can be tried again; the rest goes on. A page
// that cannot be reached can be pasted.
func TestPagesThatFail(t *testing.T) {
	p := demo(t)
	s := look(t, p)
	s.open("/new")
	s.fill("[name=name]", "Soot & Daughters")
	s.fill("[name=home_page]", "brindleandash.example/practice/error")
	s.fill("[name=phrases]", "chimney sweep tarn harbor")
	s.press("Save and find rivals")
	s.press("Paste addresses")
	s.fill("[name=rivals]",
		"no-such-site.example\nharborflue.example/practice/flaky\nhttp://127.0.0.1/\n"+
			"brindleandash.example/nowhere.html\noldsaltbox.example\nthchimney.example/practice/unwelcome")
	s.press("Use as rivals")
	s.press("Measure 6 rivals")
	s.until(`document.querySelector('[data-run=done]')`)
	s.measured("6 of 7 pages not read")
	s.sees("thchimney.example asks programs not to read this page")
	s.sees("harborflue.example answered 500")
	s.sees("brindleandash.example answered 500 (internal server error)")
	s.sees("No site was found under the name no-such-site.example")
	s.sees("or a private network")
	s.sees("brindleandash.example answered 404 (not found)")
	s.until(`document.querySelector('[data-cell=seen]').dataset.figure === '381'`)
	s.press("Try again")
	s.measured("5 of 7 pages not read")
	s.until(`document.querySelector('[data-cell=seen]').dataset.figure === '1726'`)

	s.press("Read it anyway")
	s.measured("4 of 7 pages not read")
	s.sees("robots.txt ignored")

	s.press("Paste the page")
	s.fill("[name=html]", "<title>Pasted</title><h1>Chimney sweep Tarn Harbor</h1><p>four words of text</p>")
	s.press("Measure")
	s.until(`document.querySelector('[data-cell=seen][data-column="0"]')?.dataset.figure === '8'`)
	s.sees("pasted today")
	client := eval[int](s, `+location.pathname.split('/')[2]`)
	require.Equal(t, http.StatusNoContent, send(t, p, http.MethodDelete, fmt.Sprintf("/api/clients/%d", client), nil))
}

// The ground keeps what is typed, says what it cannot keep, and undoes.
func TestGround(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/ground", client))
	leave := func() { eval[bool](s, `(document.activeElement.blur(), true)`) }
	s.fill("[name=trade]", "chimneys and stoves")
	leave()
	s.sees("Saved")
	assert.Equal(t, "chimneys and stoves", get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Trade)
	s.press("Undo")
	s.until(`document.querySelector('[name=trade]').value === 'chimney care'`)
	s.fill("[name=phrases]", "chimney sweep tarn harbor\n!!! ???")
	leave()
	s.sees("The phrase “!!! ???” holds no word")
	assert.Contains(t, s.value("[name=phrases]"), "!!! ???", "what was typed stays")
	assert.Len(t, get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Phrases, 2)
}

// With answers that take their time, what is typed meanwhile is neither lost
// nor written over.
func TestSlowAnswers(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/ground", client))
	s.fill("[name=trade]", "chimneys and stoves")
	s.slow(800 * time.Millisecond)
	leave := func() { eval[bool](s, `(document.activeElement.blur(), true)`) }
	leave()
	s.fill("[name=phone]", "207-555-0177")
	leave()
	stored := func() view.Ground { return get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)) }
	require.Eventually(t, func() bool { return stored().Phone == "207-555-0177" }, 60*time.Second, 50*time.Millisecond)
	assert.Equal(t, "chimneys and stoves", stored().Trade)
	s.fill("[name=money]", "EUR")
	leave()
	require.Eventually(t, func() bool { return stored().Money == "EUR" }, 60*time.Second, 50*time.Millisecond)

	s.sees("Saved: currency")
	s.press("Undo")
	s.fill("[name=phone]", "207-555-0134")
	leave()
	s.fill("[name=trade]", "chimney care")
	leave()
	require.Eventually(t, func() bool { return stored().Trade == "chimney care" }, 60*time.Second, 50*time.Millisecond)
	assert.Equal(t, "$", stored().Money, "undone")
	assert.Equal(t, "207-555-0134", stored().Phone)
	s.until(`document.querySelector('[name=money]').value === '$'`)
}
