package lineup

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func ranked(positions ...int) []Entry {
	out := make([]Entry, len(positions))
	for i, p := range positions {
		out[i] = Entry{Part: Organic, Position: p, Name: string(rune('A' + i))}
	}
	return append(out, Entry{Part: Map, Position: 2, Name: "map"},
		Entry{Part: Organic, Sponsored: true, Position: 1, Name: "ad"})
}

func positions(entries []Entry) (out []int) {
	for _, e := range entries {
		out = append(out, e.Position)
	}
	return out
}

func TestMove(t *testing.T) {
	for name, c := range map[string]struct {
		i, to int
		want  []int
	}{
		"up":             {3, 2, []int{1, 3, 4, 2, 14}},
		"down":           {0, 3, []int{3, 1, 2, 4, 14}},
		"over a gap":     {4, 4, []int{1, 2, 3, 14, 4}},
		"into a gap":     {1, 9, []int{1, 9, 3, 4, 14}},
		"where it is":    {1, 2, []int{1, 2, 3, 4, 14}},
		"behind the end": {0, 20, []int{20, 2, 3, 4, 14}},
	} {
		t.Run(name, func(t *testing.T) {
			list := ranked(1, 2, 3, 4, 14)
			Move(list, c.i, c.to)
			assert.Equal(t, append(c.want, 2, 1), positions(list))
		})
	}
}

func TestInsert(t *testing.T) {
	list := append(ranked(1, 2, 3, 7), Entry{Part: Organic, Position: 2, Name: "new"})
	Insert(list, len(list)-1)
	assert.Equal(t, []int{1, 3, 4, 7, 2, 1, 2}, positions(list))
}

// Moving an entry back undoes the move, and each position is held once.
func TestMoveIsUndone(t *testing.T) {
	rapid.Check(t, func(rt *rapid.T) {
		places := rapid.SliceOfNDistinct(rapid.IntRange(1, 20), 1, 10, rapid.ID[int]).Draw(rt, "positions")
		list := ranked(places...)
		before := slices.Clone(list)
		i := rapid.IntRange(0, len(places)-1).Draw(rt, "entry")
		Move(list, i, rapid.IntRange(1, 22).Draw(rt, "to"))
		seen := map[int]bool{}
		for _, e := range list[:len(places)] {
			assert.False(rt, seen[e.Position], "position %d twice", e.Position)
			seen[e.Position] = true
		}
		Move(list, i, before[i].Position)
		assert.Equal(rt, before, list)
	})
}
