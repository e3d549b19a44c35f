package fetch

import (
	"bufio"
	"compress/flate"
	"compress/gzip"
	"compress/zlib"
	"errors"
	"fmt"
	"io"
	"net"
	"net/http"
	"strings"

	"github.com/andybalholm/brotli"
)

// encodings are those that unpacked can undo.
const encodings = "gzip, deflate, br"

// errBrokenOff says that a body ended before its end or cannot be unpacked.
var errBrokenOff = errors.New("the body is cut short or damaged")

// unpacked reads the body of a response, at most so many bytes of it after
// unpacking: a small body may unfold to a huge one.
func unpacked(resp *http.Response, most int) ([]byte, error) { return unpackedFrom(resp, most, nil) }

// unpackedFrom takes what it reads from a budget as well; nil for none.
func unpackedFrom(resp *http.Response, most int, budget *Budget) ([]byte, error) {
	var r io.Reader = resp.Body
	for _, encoding := range strings.Split(resp.Header.Get("Content-Encoding"), ",") {
		var err error
		switch strings.ToLower(strings.TrimSpace(encoding)) {
		case "", "identity":
		case "gzip", "x-gzip":
			r, err = gzip.NewReader(r)
		case "br":
			r = brotli.NewReader(r)
		case "deflate":
			r, err = inflate(r)
		default:
			return nil, UnknownPacking.New(resp.Request.URL.Hostname(), encoding)
		}
		if err != nil {
			return nil, broken(err)
		}
	}
	body, err := io.ReadAll(io.LimitReader(budget.reader(r), int64(most)+1))
	if PageTooLarge.Is(err) {
		return nil, err
	}
	if err != nil {
		return nil, broken(err)
	}
	if len(body) > most {
		return nil, tooLarge()
	}
	return body, nil
}

// broken keeps the errors of the network and takes all others for a body that
// cannot be unpacked.
func broken(err error) error {
	var network net.Error
	if errors.As(err, &network) {
		return err
	}
	return fmt.Errorf("%w: %w", errBrokenOff, err)
}

// inflate reads deflate as servers send it: with the zlib header or without.
func inflate(r io.Reader) (io.Reader, error) {
	b := bufio.NewReader(r)
	head, err := b.Peek(2)
	if err != nil {
		return nil, err
	}
	if head[0]&0x0f == 8 && (uint(head[0])<<8|uint(head[1]))%31 == 0 {
		return zlib.NewReader(b)
	}
	return flate.NewReader(b), nil
}

// Unpack reads the body of a response that was kept, within the bounds of a
// page.
func Unpack(resp *http.Response) ([]byte, error) { return unpacked(resp, MaxBody) }
