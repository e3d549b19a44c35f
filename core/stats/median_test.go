package stats

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestMedian(t *testing.T) {
	values := []int{680, 2450, 560}
	assert.InDelta(t, 680, Median(values), 0)
	assert.Equal(t, []int{680, 2450, 560}, values)
	assert.InDelta(t, 1075, Median([]int{1720, 380, 1140, 1010}), 0)
	assert.InDelta(t, 2.5, Median([]float64{2, 3}), 0)
	assert.Zero(t, Median([]float64(nil)))
}
