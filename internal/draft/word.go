package draft

import (
	"archive/zip"
	"bytes"
	"encoding/xml"
	"errors"
	"html"
	"io"
	"regexp"
	"strings"

	"inktally/core/fault"
)

// How much of a document's text and of its styles is unpacked, for a part of few bytes may unfold to many, and how
// many elements and texts of it are read.
const (
	maxUnpacked = 16 << 20
	maxStyles   = 2 << 20
	mostTokens  = 2_000_000
)

// word reads a Word document as HTML: headings, paragraphs, items of lists and cells, and
// the texts of pictures. Whatever else it holds, macros too, is not looked at.
func word(raw []byte) ([]byte, error) {
	z, err := zip.NewReader(bytes.NewReader(raw), int64(len(raw)))
	if err != nil {
		return nil, DraftUnreadable.New().Because(err)
	}
	styles, err := part(z, "word/styles.xml", maxStyles)
	if err != nil {
		return nil, err
	}
	document, err := part(z, "word/document.xml", maxUnpacked)
	if err != nil {
		return nil, err
	}
	if document == nil {
		return nil, DraftUnreadable.New()
	}
	w := writer{levels: headings(styles)}
	if err := w.read(document); err != nil {
		if _, told := fault.Of(err); told {
			return nil, err
		}
		return nil, DraftUnreadable.New().Because(err)
	}
	return []byte(w.out.String()), nil
}

// part unpacks one part of a document, nil if it has none of that name.
func part(z *zip.Reader, name string, most int) ([]byte, error) {
	for _, f := range z.File {
		if f.Name != name {
			continue
		}
		in, err := f.Open()
		if err != nil {
			return nil, DraftUnreadable.New().Because(err)
		}
		defer in.Close()
		raw, err := io.ReadAll(io.LimitReader(in, int64(most)+1))
		switch {
		case err != nil:
			return nil, DraftUnreadable.New().Because(err)
		case len(raw) > most:
			return nil, DraftTooLarge.New(most >> 20)
		}
		return raw, nil
	}
	return nil, nil
}

// heading is the name of a style of headings in many languages of the program that writes
// it; the names inside a file are English.
var heading = regexp.MustCompile(`(?i)^(?:heading|title) ?([1-6]?)$`)

// headings returns the levels of headings by the ids of styles.
func headings(styles []byte) map[string]int {
	out := map[string]int{}
	d := xml.NewDecoder(bytes.NewReader(styles))
	id, depth := "", 0
	for {
		token, err := d.Token()
		if err != nil || depth > deepest {
			return out
		}
		start, ok := token.(xml.StartElement)
		if _, ends := token.(xml.EndElement); ends {
			depth--
		}
		if !ok {
			continue
		}
		depth++
		switch start.Name.Local {
		case "style":
			id = attr(start, "styleId")
			level(out, id, id)
		case "name":
			level(out, id, attr(start, "val"))
		}
	}
}

func level(levels map[string]int, id, name string) {
	if m := heading.FindStringSubmatch(name); m != nil && id != "" {
		levels[id] = 1
		if m[1] != "" {
			levels[id] = int(m[1][0] - '0')
		}
	}
}

func attr(e xml.StartElement, name string) string {
	for _, a := range e.Attr {
		if a.Name.Local == name {
			return a.Value
		}
	}
	return ""
}

// writer writes the paragraphs of a document as HTML.
type writer struct {
	levels map[string]int
	out    strings.Builder
	text   strings.Builder
	level  int
	item   bool
	inText bool
	gone   int // inside what was deleted
}

// deepest is how deeply a document may be nested.
const deepest = 500

func (w *writer) read(document []byte) error {
	d := xml.NewDecoder(bytes.NewReader(document))
	depth, tokens := 0, 0
	for {
		token, err := d.Token()
		if tokens++; tokens > mostTokens {
			return DraftTooLarge.New(maxUnpacked >> 20)
		}
		if errors.Is(err, io.EOF) {
			w.end()
			return nil
		}
		if err != nil {
			return err
		}
		switch t := token.(type) {
		case xml.StartElement:
			if depth++; depth > deepest {
				return errors.New("nested too deeply")
			}
			w.start(t)
		case xml.EndElement:
			depth--
			w.close(t.Name.Local)
		case xml.CharData:
			if w.inText && w.gone == 0 {
				w.text.Write(t)
			}
		}
	}
}

func (w *writer) start(t xml.StartElement) {
	switch t.Name.Local {
	case "p":
		w.end()
	case "pStyle":
		w.level = w.levels[attr(t, "val")]
	case "outlineLvl":
		if n := attr(t, "val"); len(n) == 1 && n[0] >= '0' && n[0] <= '5' && w.level == 0 {
			w.level = int(n[0]-'0') + 1
		}
	case "numPr":
		w.item = true
	case "t":
		w.inText = true
	case "tab", "br", "cr":
		w.text.WriteByte(' ')
	case "noBreakHyphen":
		w.text.WriteByte('-')
	case "del", "moveFrom", "delText":
		w.gone++
	case "docPr":
		if alt := attr(t, "descr"); alt != "" {
			w.text.WriteString("\x00" + alt + "\x00")
		}
	}
}

func (w *writer) close(name string) {
	switch name {
	case "p":
		w.end()
	case "t":
		w.inText = false
	case "del", "moveFrom", "delText":
		w.gone--
	}
}

// end writes the paragraph that is being read.
func (w *writer) end() {
	text, tag := strings.TrimSpace(w.text.String()), "p"
	switch {
	case w.level > 0:
		tag = "h" + string(rune('0'+w.level))
	case w.item:
		tag = "li"
	}
	w.text.Reset()
	w.level, w.item = 0, false
	if text == "" {
		return
	}
	w.out.WriteString("<" + tag + ">")
	for i, piece := range strings.Split(text, "\x00") {
		if i%2 == 1 {
			w.out.WriteString(`<img src="picture" alt="` + html.EscapeString(piece) + `">`)
			continue
		}
		w.out.WriteString(html.EscapeString(piece))
	}
	w.out.WriteString("</" + tag + ">\n")
}
