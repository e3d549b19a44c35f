package standing

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Tables as people copy them: tabs, commas, semicolons, big numbers, a column of its own.
func TestRead(t *testing.T) {
	for name, c := range map[string]struct {
		table string
		want  []Row
	}{
		"tabs": {"Site\tBacklinks\tReferring domains\tNote\nharborflue.example\t1,240\t88\tfrom the spring\nOld " +
			"Saltbox Masonry\t9.1K\t310\t",
			[]Row{{"harborflue.example", map[Figure]float64{Links: 1240, Domains: 88}},
				{"Old Saltbox Masonry", map[Figure]float64{Links: 9100, Domains: 310}}}},
		"commas": {"site,rating,reviews\nhttps://a.example/,4.7,\"1,200\"\n",
			[]Row{{"https://a.example/", map[Figure]float64{Rating: 4.7, Reviews: 1200}}}},
		"semicolons": {"Firma;Stars;Photos\nA;4,7;12", []Row{{"A", map[Figure]float64{Rating: 4.7, Photos: 12}}}},
		"gaps": {"site,visits\na.example,\nb.example,12\n,5",
			[]Row{{"b.example", map[Figure]float64{VisitsMo: 12}}}},
		"no table":   {"just a line", nil},
		"no figures": {"site,color\na.example,red", nil},
		"nothing":    {"", nil},
	} {
		t.Run(name, func(t *testing.T) { assert.Equal(t, c.want, Read(c.table)) })
	}
}

func TestBelongs(t *testing.T) {
	for _, c := range []struct {
		row, domain, name string
		want              bool
	}{
		{"https://www.harborflue.example/x", "harborflue.example", "Harbor Flue & Hearth", true},
		{"harborflue.example", "harborflue.example", "", true},
		{"HARBOR FLUE and Hearth", "", "Harbor Flue & Hearth", true},
		{"Harbor", "harborflue.example", "Harbor Flue & Hearth", false},
		{"other.example", "harborflue.example", "Harbor Flue & Hearth", false},
	} {
		assert.Equal(t, c.want, Belongs(Row{Name: c.row}, c.domain, c.name), c.row)
	}
}

// Whatever is pasted, no row is without a name or a figure, and nothing breaks.
func FuzzRead(f *testing.F) {
	f.Add("site\tlinks\na.example\t12")
	f.Add("a;b\n\"x")
	f.Fuzz(func(t *testing.T, table string) {
		for _, row := range Read(table) {
			assert.NotEmpty(t, row.Name)
			assert.NotEmpty(t, row.Figures)
		}
	})
}
