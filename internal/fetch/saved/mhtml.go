package saved

import (
	"bytes"
	"encoding/base64"
	"io"
	"mime"
	"mime/multipart"
	"mime/quotedprintable"
	"net/mail"
	"net/textproto"
	"path"
	"regexp"
	"strings"

	"inktally/core/page"
	"inktally/internal/fetch"
)

const (
	maxParts = 2000 // of an MHTML file
	maxNest  = 4    // parts within parts
)

// mhtml reads a page with its style sheets out of one MHTML file, as browsers
// write it: the page is the first part that is HTML, or the largest that it shows in a frame.
func mhtml(f File) (Copy, error) {
	message, err := mail.ReadMessage(bytes.NewReader(f.Body))
	if err != nil {
		return Copy{}, ArchiveUnreadable.New()
	}
	m := parts{byAddress: map[string][]byte{}}
	if err := m.read(textproto.MIMEHeader(message.Header), message.Body, 0); err != nil {
		return Copy{}, err
	}
	if m.page == nil {
		return Copy{}, ArchiveEmpty.New()
	}
	p := Copy{File: f.Name, Archive: true, Sheets: map[string]string{},
		Document: fetch.Document{ContentType: m.contentType, Body: m.page}, Base: m.location}
	if address, err := fetch.Address(m.location); err == nil {
		p.Document.URL, p.Base = address, ""
	}
	p.Sheets = sheetsOf(m.page, page.Source{URL: p.Document.URL, ContentType: m.contentType, Base: p.Base},
		func(address string) ([]byte, bool) {
			body, ok := m.byAddress[address]
			return body, ok
		})
	return p, bounds(path.Base(f.Name), m.page)
}

// parts are those of an MHTML file.
type parts struct {
	count       int
	sum         int
	page        []byte // of the first part that is HTML
	contentType string
	location    string
	byAddress   map[string][]byte // style sheets
	// frames reports whether the first page only shows others, framed is the size of the one that
	// was taken of these.
	frames bool
	framed int
}

// read takes a part or, if it has parts itself, these.
func (m *parts) read(header textproto.MIMEHeader, body io.Reader, depth int) error {
	if m.count++; m.count > maxParts || depth > maxNest {
		return ArchiveTooMany.New(maxParts)
	}
	kind, params, err := mime.ParseMediaType(header.Get("Content-Type"))
	if err != nil {
		kind = "text/plain"
	}
	if strings.HasPrefix(kind, "multipart/") {
		return m.readAll(multipart.NewReader(body, params["boundary"]), depth)
	}
	if kind != "text/css" && (m.page != nil && !m.frames || !isHTML(kind)) {
		return nil
	}
	raw, err := io.ReadAll(io.LimitReader(decoded(header, body), fetch.MaxBody+1))
	if err != nil && len(raw) == 0 && !isHTML(kind) {
		return nil // a page can do without one of its sheets
	}
	if err != nil && len(raw) == 0 {
		return ArchiveDamaged.New()
	}
	if m.sum += len(raw); m.sum > MaxBytes {
		return ArchiveTooLarge.New(MaxBytes >> 20)
	}
	location := strings.TrimSpace(header.Get("Content-Location"))
	if isHTML(kind) {
		m.takePage(raw, header.Get("Content-Type"), location)
		return nil
	}
	m.byAddress[location] = raw
	if id := strings.Trim(header.Get("Content-Id"), "<> "); id != "" {
		m.byAddress["cid:"+id] = raw
	}
	return nil
}

// frameset is the element by which a page shows others and nothing of its own.
var frameset = regexp.MustCompile(`(?i)<frameset[\s>]`)

// takePage takes the first page; where that only shows others in frames, the largest of them.
func (m *parts) takePage(raw []byte, contentType, location string) {
	inFrame := m.page != nil
	if inFrame && len(raw) <= m.framed {
		return
	}
	m.page, m.contentType, m.location = raw, contentType, location
	if inFrame {
		m.framed = len(raw)
	} else {
		m.frames = frameset.Match(raw)
	}
}

func (m *parts) readAll(r *multipart.Reader, depth int) error {
	for {
		part, err := r.NextRawPart()
		if err == io.EOF || err != nil && m.page != nil {
			return nil // what came before the damage is kept
		}
		if err != nil {
			return ArchiveDamaged.New()
		}
		if err := m.read(part.Header, part, depth+1); err != nil {
			return err
		}
	}
}

// decoded undoes the transfer encoding of a part.
func decoded(header textproto.MIMEHeader, body io.Reader) io.Reader {
	switch strings.ToLower(strings.TrimSpace(header.Get("Content-Transfer-Encoding"))) {
	case "quoted-printable":
		return quotedprintable.NewReader(body)
	case "base64":
		return base64.NewDecoder(base64.StdEncoding, body)
	}
	return body
}
