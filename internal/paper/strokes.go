package paper

import (
	"fmt"
	"math"
	"strings"
)

// The measures of strokes, in units of which a stroke's line is 16 high.
const (
	strokeStep   = 3.4
	strokeBundle = 4*strokeStep + 5.2
	strokeTop    = 1.0
	strokeFoot   = 15.0
	mostBundles  = 8
)

// Strokes draws a number of words as tally strokes of a height in pixels: one for each 100 words, every fifth across
// the four before it, those to write in pencil.
func Strokes(r TallyRow, height int) string {
	count := min(math.Ceil(float64(r.Words+r.Write)/100), mostBundles*5)
	last := math.Mod(count, 5)
	width := math.Floor(count/5) * strokeBundle
	if last > 0 {
		width += (last-1)*strokeStep + 4
	}
	width = max(4, width)
	class := "done"
	if r.Rival {
		class = "rival"
	}
	out := fmt.Sprintf(`<svg role="img" aria-label="%s" viewBox="0 0 %.1f 16" height="%d" width="%.0f">`,
		Escape(tallyWords(r)), width, height, width*float64(height)/16)
	out += fmt.Sprintf(`<path class="%s" d="%s"/>`, class, strokePath(0, r.Words))
	if r.Write > 0 {
		out += fmt.Sprintf(`<path class="write" d="%s"/>`, strokePath(r.Words, r.Words+r.Write))
	}
	return out + "</svg>"
}

// strokePath draws the strokes from one number of words to another; a part of a hundred is a part of a stroke.
func strokePath(from, to int) string {
	var path strings.Builder
	for i := from / 100; i*100 < to && i < mostBundles*5; i++ {
		begin := max(0, float64(from)/100-float64(i))
		end := min(1, float64(to)/100-float64(i))
		x1, y1, x2, y2 := strokeLine(i)
		fmt.Fprintf(&path, "M%.2f %.2fL%.2f %.2f", x1+(x2-x1)*begin, y1+(y2-y1)*begin, x1+(x2-x1)*end, y1+(y2-y1)*end)
	}
	return path.String()
}

// strokeLine returns where a stroke begins and ends.
func strokeLine(i int) (x1, y1, x2, y2 float64) {
	left, n := float64(i/5)*strokeBundle+2, float64(i%5)
	if n < 4 {
		return left + n*strokeStep, strokeFoot, left + n*strokeStep, strokeTop
	}
	return left - 1.8, strokeFoot - 3, left + 3*strokeStep + 1.8, strokeTop + 3
}
