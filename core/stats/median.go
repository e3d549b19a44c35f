// Package stats holds the little statistics that several rules need.
package stats

import (
	"cmp"
	"slices"
)

// Median returns the middle of some values, 0 for none. They are left as they
// are.
func Median[T interface {
	cmp.Ordered
	~int | ~float64
}](values []T) float64 {
	sorted := slices.Sorted(slices.Values(values))
	n := len(sorted)
	switch {
	case n == 0:
		return 0
	case n%2 == 1:
		return float64(sorted[n/2])
	}
	return (float64(sorted[n/2-1]) + float64(sorted[n/2])) / 2
}
