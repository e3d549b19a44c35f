package mapprofile

import (
	"fmt"
	"os"
	"strings"
	"testing"
	"time"

	"inktally/core/listing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func cells(line string) map[string]string {
	out := map[string]string{}
	for i, part := range strings.Split(line, " | ") {
		key, value, found := strings.Cut(part, ":")
		if !found {
			out[fmt.Sprint(i)] = strings.Trim(part, " |")
			continue
		}
		out[strings.TrimSpace(key)] = strings.Trim(value, " |")
	}
	return out
}

// Profiles of other trades, labelled before the rule was written.
func TestProfilesLabelled(t *testing.T) {
	raw, err := os.ReadFile("testdata/profiles.txt")
	require.NoError(t, err)
	named := map[string]Field{"post": LastPost}
	for _, f := range Fields() {
		named[string(f)] = f
	}
	var g Ground
	var facts Facts
	name, n := "", 0
	for _, line := range strings.Split(string(raw), "\n") {
		kind, rest, _ := strings.Cut(line, "|")
		c := cells(rest)
		switch strings.TrimSpace(kind) {
		case "case":
			name = strings.TrimSpace(rest)
		case "client":
			country := map[string]string{"01632 960142": "GB", "030 23125 142": "DE"}[c["phone"]]
			g = Ground{Language: "en", Services: strings.FieldsFunc(c["services"], func(r rune) bool {
				return r == ';' ||
					r == ','
			}),
				Towns:    strings.Split(c["towns"], ";"),
				Business: listing.Business{Name: c["0"], Hours: c["hours"], Site: c["site"], Country: country}}
			if c["phone"] != "" {
				g.Business.Phones = []string{c["phone"]}
			}
		case "facts":
			facts = Facts{}
			for key, value := range c {
				if f, ok := named[key]; ok {
					facts[f] = strings.Trim(value, "-")
				}
			}
		case "want":
			t.Run(name, func(t *testing.T) {
				items := Check(g, facts)
				filled, known := Count(items)
				want, open, _ := strings.Cut(strings.TrimSpace(rest), "|")
				assert.Equal(t, strings.TrimSpace(want), fmt.Sprintf("filled %d of %d", filled, known))
				var missing []string
				for _, i := range items {
					if i.State == Blank || i.State == Wrong {
						missing = append(missing, string(i.Field))
					}
				}
				assert.Equal(t, strings.TrimSpace(open), strings.Join(missing, ", "))
			})
			n++
		}
	}
	assert.GreaterOrEqual(t, n, 12)
}

func TestPack(t *testing.T) {
	assert.Equal(t, ReviewTarget{First: 88, Then: 212, Missing: 76}, StandardRules().ReviewsWanted(12, Pack{88, 212,
		37}))
	assert.Equal(t, ReviewTarget{First: 126, Then: 212}, Rules{Times: 2}.ReviewsWanted(140, Pack{88, 212, 37, 38}))
	assert.Equal(t, ReviewTarget{First: 88, Then: 212, Enough: true}, StandardRules().ReviewsWanted(212, Pack{88, 212,
		37}))
	assert.Equal(t, ReviewTarget{}, StandardRules().ReviewsWanted(3, nil),
		"nobody is known: nothing is wanted, and nothing is enough")
	today := time.Date(2026, 11, 30, 0, 0, 0, 0, time.UTC)
	for value, want := range map[string]bool{"2026-11-23": false, "2026-11-22": true, "": true} {
		due, known := StandardRules().PostDue(Facts{LastPost: value}, today)
		assert.True(t, known)
		assert.Equal(t, want, due, value)
	}
	_, known := StandardRules().PostDue(Facts{}, today)
	assert.False(t, known)
}

// The names of photos are judged beside the fourteen facts, which they are none of.
func TestPhotoNames(t *testing.T) {
	g := Ground{Renamed: func(files []string) []string {
		out := make([]string, len(files))
		for i, f := range files {
			if strings.HasPrefix(f, "IMG") {
				out[i] = fmt.Sprintf("dog-grooming-wexbourne-%d.jpg", i)
			}
		}
		return out
	}}
	facts := Facts{There: "yes", Photos: "3", PhotoNames: "IMG_2.jpg; poodle.jpg,\nIMG_4.jpg"}
	items := Check(g, facts)
	require.Len(t, items, 15)
	assert.Equal(t, Item{Field: PhotoNames, State: Wrong, Theirs: facts[PhotoNames],
		Photos: []Photo{{"IMG_2.jpg", "dog-grooming-wexbourne-0.jpg"}, {"IMG_4.jpg", "dog-grooming-wexbourne-2.jpg"}}},
		items[14])
	filled, known := Count(items)
	assert.Equal(t, [2]int{2, 2}, [2]int{filled, known})
	facts[PhotoNames] = "poodle.jpg"
	assert.Equal(t, Filled, Check(g, facts)[14].State)
	assert.Len(t, Check(Ground{}, facts), 14, "it is not known what they should be called")
	facts[There] = "no"
	assert.Len(t, Check(g, facts), 1)
}
