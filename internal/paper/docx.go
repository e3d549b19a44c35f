package paper

import (
	"archive/zip"
	"bytes"
	"embed"
	"encoding/xml"
	"fmt"
	"os"
	"strings"

	"github.com/gomutex/godocx/common/units"
	"github.com/gomutex/godocx/docx"
	"github.com/gomutex/godocx/packager"
	"github.com/gomutex/godocx/wml/ctypes"
	"github.com/gomutex/godocx/wml/stypes"
)

//go:embed parts/*.xml
var parts embed.FS

// partNames are where the parts of an empty document stand in its file.
var partNames = [][2]string{{"types.xml", "[Content_Types].xml"}, {"rels.xml", "_rels/.rels"},
	{"document.xml", "word/document.xml"}, {"docrels.xml", "word/_rels/document.xml.rels"},
	{"styles.xml", "word/styles.xml"}, {"numbering.xml", "word/numbering.xml"}, {"footer.xml", "word/footer.xml"}}

// empty returns a document without text: its styles, its lists, its foot.
func (l *Letterhead) empty() (*docx.RootDoc, error) {
	var foot bytes.Buffer
	if err := xml.EscapeText(&foot, []byte(Clean(l.Footer))); err != nil {
		return nil, err
	}
	fill := strings.NewReplacer("{{footer}}", foot.String(), "{{tone}}", l.Tone.Color())
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for _, name := range partNames {
		raw, err := parts.ReadFile("parts/" + name[0])
		if err != nil {
			return nil, err
		}
		w, err := z.CreateHeader(&zip.FileHeader{Name: name[1], Method: zip.Store})
		if err != nil {
			return nil, err
		}
		if _, err := fill.WriteString(w, string(raw)); err != nil {
			return nil, err
		}
	}
	if err := z.Close(); err != nil {
		return nil, err
	}
	raw := out.Bytes()
	return packager.Unpack(&raw)
}

// DOCX writes a document for word processors, with real styles, headings, lists and tables.
func DOCX(p *Paper) ([]byte, error) {
	doc, err := p.empty()
	if err != nil {
		return nil, fmt.Errorf("opening an empty document: %w", err)
	}
	doc.Document.Body.SectPr = section(p.Size)
	w := &word{doc: doc}
	if err := w.from(&p.Letterhead); err != nil {
		return nil, err
	}
	w.para("Title", Says(p.Title))
	for _, u := range p.Under {
		w.para("Subtitle", Says(u))
	}
	w.para("Subtitle", nil)
	for _, b := range p.Blocks {
		w.block(b)
	}
	for line := range strings.Lines(p.Signature) {
		w.para("Normal", Says(strings.TrimRight(line, "\n")))
	}
	var out bytes.Buffer
	if err := doc.Write(&out); err != nil {
		return nil, fmt.Errorf("writing a document: %w", err)
	}
	return out.Bytes(), nil
}

// The sizes of a page and of its margins, in twentieths of a point.
const (
	letterWide, letterHigh = 12240, 15840
	a4Wide, a4High         = 11906, 16838
	marginSide             = (letterWide - pageWidth) / 2
	marginTop, marginFoot  = 1020, 560
)

// section returns the pages of a document, with its foot.
func section(s Size) *ctypes.SectionProp {
	wide, high, side := letterWide, letterHigh, marginSide
	if s == A4 {
		wide, high, side = a4Wide, a4High, (a4Wide-pageWidth)/2
	}
	return &ctypes.SectionProp{FooterReference: &ctypes.FooterReference{Type: stypes.HdrFtrDefault, ID: "rId3"},
		PageSize: &ctypes.PageSize{Width: new(uint64(wide)), Height: new(uint64(high))},
		PageMargin: &ctypes.PageMargin{Left: &side, Right: &side, Top: new(marginTop), Bottom: new(marginTop),
			Header: new(marginFoot), Footer: new(marginFoot), Gutter: new(0)}}
}

// word writes blocks into a document.
type word struct{ doc *docx.RootDoc }

// logoInches bounds a logo on paper.
const logoInches, pixelsPerInch = 0.6, 96.0

// from writes who a document comes from.
func (w *word) from(l *Letterhead) error {
	if l.Logo != nil && l.Wide > 0 && l.High > 0 {
		kind := ".png"
		if bytes.HasPrefix(l.Logo, []byte{0xFF, 0xD8}) {
			kind = ".jpeg"
		}
		file, err := os.CreateTemp("", "logo*"+kind) // the library takes pictures from files
		if err != nil {
			return err
		}
		defer os.Remove(file.Name())
		_, err = file.Write(l.Logo)
		if cerr := file.Close(); err == nil {
			err = cerr
		}
		if err != nil {
			return err
		}
		high := min(logoInches, float64(l.High)/pixelsPerInch)
		if _, err := w.doc.AddPicture(file.Name(), units.Inch(high*float64(l.Wide)/float64(l.High)),
			units.Inch(high)); err != nil {
			return fmt.Errorf("adding the logo: %w", err)
		}
	}
	if l.Name != "" {
		w.para("Normal", As(Strong, l.Name))
	}
	return nil
}

func (w *word) para(style string, runs []Run) *docx.Paragraph {
	p := w.doc.AddEmptyParagraph()
	p.Style(style)
	wordRuns(p, runs)
	return p
}

func (w *word) block(b Block) {
	switch b := b.(type) {
	case Heading:
		p := w.para(fmt.Sprintf("Heading%d", b.Level), Says(b.Text))
		if b.NewPage {
			p.GetCT().Property.PageBreakBefore = ctypes.OnOffFromBool(true)
		}
	case Text:
		w.para("Normal", b)
	case Quote:
		w.para("Quote", b)
	case List:
		for _, i := range b.Items {
			w.item(b.Mark, i)
		}
	case Table:
		w.table(&b)
	case Tally:
		w.tally(b)
	}
}

func (w *word) item(mark Mark, i Item) {
	style, more := "ListBullet", "ListContinue"
	if mark == Box {
		style = "ListBox"
	}
	if i.Inside {
		style, more = style+"2", more+"2"
	}
	w.para(style, i.Says)
	for _, u := range i.Under {
		w.para(more, u)
	}
}

// pageWidth is how wide the text of a page is, in twentieths of a point.
const pageWidth = 10080

func (w *word) table(t *Table) {
	columns := len(t.Head)
	widths := columnWidths(columns, t.Numbers)
	table := w.ruled(widths...)
	write := func(cells []Cell, head bool) {
		row := table.AddRow()
		for i := range columns {
			style := "TableText"
			if i >= t.Numbers {
				style = "TableFigure"
			}
			if head && i < t.Numbers {
				style = "TableHead"
			}
			p := cell(row, widths[i])
			p.Style(style)
			if i < len(cells) {
				wordRuns(p, cells[i])
			}
		}
	}
	head := make([]Cell, columns)
	for i, h := range t.Head {
		head[i] = As(Strong, h)
	}
	write(head, true)
	for _, r := range t.Rows {
		write(r, false)
	}
	w.doc.AddEmptyParagraph().Style("TableText")
}

// columnWidths gives columns of text two and a half times the room of those of figures.
func columnWidths(columns, numbers int) []int {
	const text, figure = 5, 2
	numbers = min(numbers, columns)
	share := pageWidth / (numbers*text + (columns-numbers)*figure)
	out := make([]int, columns)
	for i := range out {
		out[i] = share * figure
		if i < numbers {
			out[i] = share * text
		}
	}
	return out
}

func (w *word) ruled(widths ...int) *docx.Table {
	table := w.doc.AddTable()
	table.Style("Ruled")
	table.Width(pageWidth, stypes.TableWidthDxa)
	for _, width := range widths {
		table.Grid(uint64(width))
	}
	return table
}

// cell adds a cell to a row and returns its paragraph.
func cell(row *docx.Row, width int) *docx.Paragraph {
	return row.AddCell().Width(width, stypes.TableWidthDxa).AddEmptyPara()
}

// tally shows words as bundles of strokes: text that is struck through.
func (w *word) tally(rows Tally) {
	const name, drawn, said = 3200, 3700, pageWidth - 3200 - 3700
	table := w.ruled(name, drawn, said)
	for _, r := range rows {
		row := table.AddRow()
		of := cell(row, name)
		of.Style("TableText")
		wordRuns(of, Says(r.Name))
		strokes := cell(row, drawn)
		strokes.Style("TableText")
		bundles(strokes, 0, r.Words, "Tally")
		bundles(strokes, r.Words, r.Words+r.Write, "TallyWanted")
		figure := cell(row, said)
		figure.Style("TableFigure")
		wordRuns(figure, Says(tallyWords(r)))
	}
	w.doc.AddEmptyParagraph().Style("TableText")
}

// bundles writes strokes for the hundreds from one number of words to another: four in a bundle, struck through by
// the fifth.
func bundles(p *docx.Paragraph, from, to int, style string) {
	for i := (from + 50) / 100; i < min((to+50)/100, mostBundles*5); {
		n := min(4-i%5, (to+50)/100-i)
		if i%5 == 4 { // the fifth of a bundle is the line through the four
			i++
			p.AddText(" ")
			continue
		}
		crossed := i%5+n == 4 && (to+50)/100 > i+n
		run := p.AddText(strings.Repeat("|", n))
		run.Style(style)
		run.Strike(crossed)
		i += n
	}
}

// wordStyles are the names of the styles of runs.
var wordStyles = map[Style]string{Strong: "Strong", Soft: "Soft", Wanted: "Wanted", Struck: "Struck", Mono: "Mono"}

func wordRuns(p *docx.Paragraph, runs []Run) {
	for i, r := range runs {
		text := strings.Join(strings.Fields(Clean(r.Text)), " ")
		if text == "" {
			continue
		}
		if i > 0 {
			p.AddText(" ")
		}
		if linked(r) {
			p.AddLink(text, r.Link)
			continue
		}
		run := p.AddText(text)
		if style := wordStyles[r.Style]; style != "" {
			run.Style(style)
		}
	}
}
