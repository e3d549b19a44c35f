package book
import "testing"
func TestZZ(t *testing.T) {
	tr := loadTrial(t, "locksmith")
	first, _ := tr.book()
	t.Logf("%+v", tr.score(t, first))
	t.Logf("%+v", tr.score(t, tr.consult(10)))
}
