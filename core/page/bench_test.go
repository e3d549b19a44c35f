package page

import (
	"bytes"
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"

	"golang.org/x/net/html"
)

func samplePage(size int) []byte {
	rnd := rand.New(rand.NewPCG(1, 2))
	vocab := make([]string, 3000)
	for i := range vocab {
		n := 2 + rnd.IntN(8)
		var b strings.Builder
		for range n {
			b.WriteByte(byte('a' + rnd.IntN(26)))
		}
		vocab[i] = b.String()
	}
	var b strings.Builder
	b.WriteString("<!doctype html><html lang=en><title>x</title><style>.nav a{color:red} .hide{display:none} @media (max-width:700px){.menu{display:none}}</style><body><div class=wrap id=top>")
	for i := 0; b.Len() < size; i++ {
		fmt.Fprintf(&b, "<h2 class=\"section-title\">%s %s</h2>\n<p class=\"text large\">", vocab[rnd.IntN(3000)], vocab[rnd.IntN(3000)])
		for range 60 {
			b.WriteString(vocab[rnd.IntN(len(vocab))])
			if rnd.IntN(12) == 0 {
				b.WriteByte('.')
			}
			b.WriteByte(' ')
		}
		for range 1 {
			fmt.Fprintf(&b, "<a href=\"/%s\">%s</a> ", vocab[rnd.IntN(3000)], vocab[rnd.IntN(3000)])
		}
		b.WriteString("</p>\n")
	}
	return []byte(b.String())
}

func BenchmarkParse(b *testing.B) {
	body := samplePage(150_000)
	for b.Loop() {
		html.Parse(bytes.NewReader(body))
	}
}
func BenchmarkRead(b *testing.B) {
	body := samplePage(150_000)
	for b.Loop() {
		Read(body, Source{})
	}
}
