package hours

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestParse(t *testing.T) {
	work := Week{}
	for d := range 5 {
		work.Days[d] = []Interval{{8 * 60, 17 * 60}}
	}
	for _, s := range []string{"Mon-Fri 8am-5pm", "Monday to Friday: 8:00 AM - 5:00 PM", "Mo-Fr 08:00-17:00",
		"Monday – Friday 8–5", "Mon 8-5, Tue 8-5, Wed 8-5, Thu 8-5, Fri 8-5, Sat closed", "Mo–Fr 8 bis 17 Uhr",
		"L-V 8-17", "lunes a viernes de 8:00 a 17:00", "lundi au vendredi 8h - 17h", "lun-ven 8:00-17:00",
		"Mo,Tu,We,Th,Fr 08:00-17:00", "Mon-Fri 8:00am-12:00pm, 12:00pm-5:00pm",
		"Monday through Friday, 8 a.m. to 5 p.m."} {
		got, ok := Parse(s)
		assert.True(t, ok, s)
		assert.Equal(t, work, got, s)
	}
	always, ok := Parse("open 24 hours")
	assert.True(t, ok)
	for _, s := range []string{"24/7", "Mon-Sun 00:00-24:00", "daily 12am - midnight", "Mo-So 24 Stunden"} {
		got, _ := Parse(s)
		assert.True(t, got.Equal(always), s)
	}
	late, _ := Parse("Fri 6pm-2am")
	assert.Equal(t, []Interval{{18 * 60, 26 * 60}}, late.Days[4])
	noon, _ := Parse("Sat 1-5pm")
	assert.Equal(t, []Interval{{13 * 60, 17 * 60}}, noon.Days[5])
	split, _ := Parse("Mo-Fr 9-12 und 14-18 Uhr")
	assert.Equal(t, []Interval{{9 * 60, 12 * 60}, {14 * 60, 18 * 60}}, split.Days[0])
	over, _ := Parse("Sat-Mon 10-4")
	assert.Equal(t, []Interval{{10 * 60, 16 * 60}}, over.Days[0])
	assert.Empty(t, over.Days[1])
	by, ok := Parse("By appointment only")
	assert.True(t, ok && by.ByAppointment)
	for _, s := range []string{"", "call us", "the best in town", "8", "Monday"} {
		_, ok := Parse(s)
		assert.False(t, ok, s)
	}
}

// Hours are the same whichever way they are written.
func TestWritings(t *testing.T) {
	days := []string{"Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"}
	short := []string{"Mo", "Tu", "We", "Th", "Fr", "Sa", "Su"}
	rapid.Check(t, func(t *rapid.T) {
		var long, brief string
		for d := range days {
			from := rapid.IntRange(0, 11).Draw(t, "from")
			until := rapid.IntRange(13, 23).Draw(t, "until")
			long += fmt.Sprintf("%s: %d:30 AM - %d:00 PM\n", days[d], (from+11)%12+1, until-12)
			brief += fmt.Sprintf("%s %02d:30-%02d:00; ", short[d], from, until)
		}
		a, okA := Parse(long)
		b, okB := Parse(brief)
		assert.True(t, okA && okB)
		assert.True(t, a.Equal(b), "%s\n%s", long, brief)
	})
}

func FuzzParse(f *testing.F) {
	f.Add("Mon-Fri 8am-5pm")
	f.Add("24/7")
	f.Fuzz(func(t *testing.T, s string) {
		w, _ := Parse(s)
		for _, d := range w.Days {
			for _, i := range d {
				if i.From < 0 || i.Until <= i.From || i.Until > 2*day {
					t.Fatal(i)
				}
			}
		}
	})
}
