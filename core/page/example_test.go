package page_test

import (
	"fmt"

	"inktally/core/page"
)

// A page is read from its bytes: what a visitor sees, part by part.
func ExampleRead() {
	p := page.Read([]byte(`<title>Sweeps</title><nav>Home</nav><h1>Chimney sweep</h1>
		<p>Four words of copy<p style="display:none">hidden`), page.Source{URL: "http://brindle.example/"})
	fmt.Println(p.Title, p.Words.Seen, p.Words.Copy, p.Words.Hidden)
	for _, h := range p.Headings {
		fmt.Println(h.Level, h.Text, h.Words)
	}
	// Output:
	// Sweeps 7 6 1
	// 1 Chimney sweep 6
}
