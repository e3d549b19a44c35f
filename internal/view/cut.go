package view

// How much of a kind an answer tells of one page. What there is more is counted beside it and told as cut: no page that
// somebody wrote has as much, and an answer must not grow with what strangers put into a page.
const (
	mostHeadings = 1_000
	mostImages   = 1_000
	mostLinks    = 2_000
	mostBlocks   = 5_000
	mostText     = 1 << 20 // bytes of the text of blocks
	mostMarked   = 500     // texts outside the blocks in which a phrase stands
	mostStaying  = 2_000   // images of all pages of which nothing is asked
)

// firstOf returns the first entries of a list, as many as are told.
func firstOf[T any](list []T, most int) []T { return list[:min(len(list), most)] }
