package brought

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestLabelled(t *testing.T) {
	assert.Equal(t, [][]string{{"Referring domains", "64"}, {"Backlinks", "1,212"}, {"Site strength", "31"}},
		Labelled([]string{"Report of today", "Referring domains", "64", "Backlinks", "1,212", "Site strength", "31",
			"See all"}))
	assert.Equal(t, [][]string{{"referring domains", "64"}, {"backlinks", "1.2K"}},
		Labelled([]string{"Overview", "64", "referring domains", "1.2K", "backlinks", "Next"}),
		"numbers above their labels")
	assert.Equal(t, [][]string{{"Backlinks", "1,212"}, {"reviews", "88"}}, Labelled([]string{"Backlinks: 1,212",
		"88 reviews", "since 2004"}))
	assert.Empty(t, Labelled([]string{"We have swept chimneys since 1998.", "2024",
		"All rights reserved by the firm and its many friends"}))
}
