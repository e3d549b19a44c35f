package intent

import "testing"

func BenchmarkNewJudge(b *testing.B) {
	g := brindle()
	for b.Loop() {
		NewJudge(g)
	}
}
