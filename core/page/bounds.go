package page

import "bytes"

// maxMarks is how many marks of a page are parsed; what stands behind is left out.
const maxMarks = 400_000

// bounds are how much is kept of a page, so that a small one cannot fill the memory. No page
// that somebody wrote comes near them.
type bounds struct{ blocks, links, images, headings int }

// boundsOf returns those of a page of so many bytes.
func boundsOf(size int) bounds {
	return bounds{blocks: 10_000 + size/40, links: 5_000 + size/48, images: 2_000 + size/96, headings: 2_000 + size/48}
}

// parsed returns what is parsed of a page; not all of it if it has too many marks.
func parsed(body []byte) (part []byte, whole bool) {
	at := 0
	for range maxMarks {
		i := bytes.IndexByte(body[at:], '<')
		if i < 0 {
			return body, true
		}
		at += i + 1
	}
	return body[:at-1], false
}

// full reports whether there is no room for more blocks: text goes on in the last one.
func (w *walker) full() bool { return !w.ended && len(w.page.Blocks) >= w.most.blocks }

// room reports whether one more of a kind is kept, of which there are so many.
func (w *walker) room(have, most int) bool {
	if have >= most {
		w.much = true
	}
	return have < most
}
