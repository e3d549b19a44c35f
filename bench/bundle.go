package main

import (
	"compress/gzip"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"regexp"
)

// initialFile is a script that the first page asks for.
var initialFile = regexp.MustCompile(`(?:src|href)="/(assets/[^"]+\.js)"`)

// bundle prints the size of the scripts that the first page asks for.
func bundle(dist string) error {
	page, err := os.ReadFile(filepath.Join(dist, "index.html"))
	if err != nil {
		fmt.Println("initial JavaScript: the front end was not built")
		return nil
	}
	plain, packed := 0, 0
	for _, m := range initialFile.FindAllSubmatch(page, -1) {
		raw, err := os.ReadFile(filepath.Join(dist, string(m[1])))
		if err != nil {
			return err
		}
		var n counter
		z := gzip.NewWriter(&n)
		if _, err := z.Write(raw); err != nil {
			return err
		}
		if err := z.Close(); err != nil {
			return err
		}
		plain, packed = plain+len(raw), packed+int(n)
	}
	fmt.Printf("initial JavaScript: %d KB, %d KB gzipped (aim: under 260)\n", plain/1000, packed/1000)
	return nil
}

// counter counts what is written to it.
type counter int

func (c *counter) Write(p []byte) (int, error) {
	*c += counter(len(p))
	return len(p), nil
}

var _ io.Writer = (*counter)(nil)
