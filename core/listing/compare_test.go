package listing

import (
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Fields of listings of five countries, labelled before the rule was written.
func TestFieldsLabelled(t *testing.T) {
	raw, err := os.ReadFile("testdata/fields.txt")
	require.NoError(t, err)
	notes := map[string]Note{"": NoNote, "unit": UnitMissing, "zip4": LongZIP, "extension": Extension,
		"inner page": InnerPage}
	verdicts := map[string]Verdict{"agrees": Agrees, "differs": Differs, "not there": NotThere}
	agree, all := 0, 0
	for _, line := range strings.Split(strings.TrimSpace(string(raw)), "\n") {
		if line[0] == '#' {
			continue
		}
		cells := strings.Split(line, "|")
		for i := range cells {
			cells[i] = strings.TrimSpace(cells[i])
		}
		b := Business{Country: cells[0]}
		field := Field(cells[1])
		switch field {
		case Name:
			b.Name = cells[2]
		case Phone:
			b.Phones = strings.Split(cells[2], ";")
		case Address:
			b.Address, b.Hidden = cells[2], cells[2] == "hidden"
		case Hours:
			b.Hours = cells[2]
		case Site:
			b.Site = cells[2]
		}
		all++
		c := Compare(b, field, cells[3])
		if assert.Contains(t, verdicts, cells[4]) && c.Verdict == verdicts[cells[4]] && c.Note == notes[cells[5]] {
			agree++
		} else {
			t.Logf("%s: %s %s", line, c.Verdict, c.Note)
		}
	}
	t.Logf("%d of %d fields", agree, all)
	assert.GreaterOrEqual(t, 100*agree, 95*all)
}

// Whatever is written, it agrees with itself, in capitals and with other blanks too.
func TestAgreesWithItself(t *testing.T) {
	pieces := []string{"12", "North", "Main", "Street", "Suite", "4", ",", "Marrow Bend", "OH", "43001", "é", "ß", "#",
		"N."}
	rapid.Check(t, func(t *rapid.T) {
		s := strings.Join(rapid.SliceOfN(rapid.SampledFrom(pieces), 2, 12).Draw(t, "address"), " ")
		b := Business{Name: s, Address: s, Country: "US"}
		for _, theirs := range []string{s, strings.ToUpper(s), "  " + strings.ReplaceAll(s, " ", "  ")} {
			for _, f := range []Field{Name, Address} {
				assert.NotEqual(t, Differs, Compare(b, f, theirs).Verdict, "%s: %q, %q", f, s, theirs)
			}
		}
	})
}

func FuzzCompare(f *testing.F) {
	f.Add("12 N Main St #4, Marrow Bend, OH 43001", "GB")
	f.Fuzz(func(_ *testing.T, s, country string) {
		b := Business{Name: "x", Phones: []string{s}, Address: s, Hours: s, Site: s, Country: country}
		for _, field := range Fields() {
			Compare(b, field, s)
		}
	})
}
