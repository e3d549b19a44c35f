package saved

import (
	"bufio"
	"bytes"
	"compress/gzip"
	"errors"
	"io"
	"net/http"
	"strings"

	"inktally/core/page"
	"inktally/internal/fetch"

	"github.com/nlnwa/gowarc/v3"
)

const maxRecords = 20_000 // of a WARC file

// warc reads the pages of a WARC file with their style sheets. What stands
// before a damaged place is kept.
func warc(f File) ([]Copy, error) {
	stream := &unfolded{left: maxUnfolded}
	if err := stream.open(f.Body); err != nil {
		return nil, ArchiveUnreadable.New()
	}
	r, err := gowarc.NewWarcFileReaderFromStream(stream, 0,
		gowarc.WithSyntaxErrorPolicy(gowarc.ErrWarn), gowarc.WithSpecViolationPolicy(gowarc.ErrWarn),
		gowarc.WithUnknownRecordTypePolicy(gowarc.ErrIgnore), gowarc.WithSkipParseBlock(),
		gowarc.WithBufferMaxMemBytes(1<<20))
	if err != nil {
		return nil, ArchiveUnreadable.New()
	}
	a := archive{sheets: map[string][]byte{}}
	damage := a.readAll(r)
	if stream.left < 0 {
		damage = ArchiveTooLarge.New(maxUnfolded >> 20)
	}
	for i := range a.pages {
		p := &a.pages[i]
		p.File = f.Name
		p.Sheets = sheetsOf(p.Document.Body, page.Source{URL: p.Document.URL, ContentType: p.Document.ContentType},
			func(address string) ([]byte, bool) {
				body, ok := a.sheets[address]
				return body, ok
			})
	}
	switch {
	case damage != nil:
		return a.pages, damage
	case len(a.pages) == 0:
		return nil, ArchiveEmpty.New()
	}
	return a.pages, nil
}

// maxUnfolded is what an archive may unfold to in all: a small one may unfold to a huge one.
const maxUnfolded = 3 * MaxBytes

// unfolded reads an archive, unpacked, as far as it may go.
type unfolded struct {
	r    io.Reader
	left int64
}

func (u *unfolded) open(body []byte) (err error) {
	u.r = bytes.NewReader(body)
	if bytes.HasPrefix(body, []byte("\x1f\x8b")) {
		u.r, err = gzip.NewReader(bytes.NewReader(body))
	}
	return err
}

func (u *unfolded) Read(p []byte) (int, error) {
	n, err := u.r.Read(p)
	if u.left -= int64(n); u.left < 0 {
		return 0, io.ErrUnexpectedEOF
	}
	return n, err
}

// archive is what was found in a WARC file.
type archive struct {
	pages  []Copy
	sheets map[string][]byte // by address
	sum    int
	broken int
}

func (a *archive) readAll(r *gowarc.WarcFileReader) error {
	for n := 1; ; n++ {
		record, err := r.Next()
		if errors.Is(err, io.EOF) {
			break
		}
		if n > maxRecords {
			return ArchiveTooMany.New(maxRecords)
		}
		if err != nil || record.WarcRecord == nil {
			return ArchiveDamaged.New().Because(err)
		}
		err = a.take(record.WarcRecord)
		_ = record.Close()
		if err != nil {
			return err
		}
	}
	if a.broken > 0 {
		return ArchiveRecords.New(a.broken)
	}
	return nil
}

// take keeps a record that holds a page or a style sheet.
func (a *archive) take(record gowarc.WarcRecord) error {
	address := strings.Trim(record.WarcHeader().Get(gowarc.WarcTargetURI), "<>")
	if record.Type() != gowarc.Response || address == "" {
		return nil
	}
	raw, err := record.Block().RawBytes()
	if err != nil {
		a.broken++
		return nil
	}
	resp, err := http.ReadResponse(bufio.NewReader(raw), nil)
	if err != nil {
		a.broken++
		return nil
	}
	defer resp.Body.Close()
	contentType := resp.Header.Get("Content-Type")
	isSheet := strings.HasPrefix(strings.ToLower(contentType), "text/css")
	if resp.StatusCode != http.StatusOK || !isHTML(contentType) && !isSheet {
		return nil
	}
	body, err := fetch.Unpack(resp)
	if err != nil {
		a.broken++
		return nil
	}
	if a.sum += len(body); a.sum > MaxBytes {
		return ArchiveTooLarge.New(MaxBytes >> 20)
	}
	if isSheet {
		a.sheets[address] = body
		return nil
	}
	address, err = fetch.Address(address)
	if err == nil && bounds("", body) == nil {
		a.pages = append(a.pages, Copy{Archive: true,
			Document: fetch.Document{URL: address, ContentType: contentType, Body: body}})
	}
	return nil
}
