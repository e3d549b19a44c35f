package app_test

import (
	"strings"
	"testing"

	"inktally/core/backlink"
	"inktally/core/fault"
	"inktally/internal/app"
	"inktally/internal/app/documents"
	"inktally/internal/app/standings"
	"inktally/internal/tables"
	"inktally/internal/view"
	"inktally/internal/view/stood"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// group returns a row of a group of a standing by its name.
func rowOf(t *testing.T, s *stood.Standing, group, name string) stood.StandingRow {
	t.Helper()
	for _, g := range s.Groups {
		for _, r := range g.Rows {
			if g.Key == group && r.Name == name {
				return r
			}
		}
	}
	t.Fatalf("no row %s in %s", name, group)
	return stood.StandingRow{}
}

// brings reads a text as it is guessed and keeps its first table.
func brings(t *testing.T, a *app.App, id int64, name, text string,
	change func(*stood.FigureLayout)) *stood.FiguresKept {
	t.Helper()
	file, err := a.Standing.Read(ctx, id, name, []byte(text), nil)
	require.NoError(t, err)
	table := file.Tables[file.Use]
	layout := stood.FigureLayout{Table: file.Use, Kind: table.Kind, Heading: table.Heading, Columns: table.Columns,
		Site:    table.Site,
		TakenOn: "2026-11-01"}
	if change != nil {
		change(&layout)
	}
	kept, err := a.Standing.Keep(ctx, id, name, []byte(text), layout)
	require.NoError(t, err)
	return kept
}

// Figures are typed and brought; none replaces an older one, what is not known is not 0, and an import goes as a
// whole.
func TestFiguresStandBesideTheirFormerOnes(t *testing.T) {
	a, _, id := overPractice(t)
	s, err := a.Standing.Get(ctx, id)
	require.NoError(t, err)
	assert.False(t, s.Known)
	require.Len(t, s.Sites, 6)
	assert.True(t, s.Sites[0].Own)
	assert.True(t, s.Sites[5].Chain)
	assert.Equal(t, "212", rowOf(t, s, "profile", "reviews").Cells[2].Text, "as the recorded search shows it")
	assert.Empty(t, rowOf(t, s, "links", "sites that link to it").Cells[0].Text)
	assert.Empty(t, rowOf(t, s, "links", "sites that link to it").Target)

	kept := brings(t, a, id, "export.csv", "Domain,Power,Trust score,Ref. domains,Backlinks,Reviews\n"+
		"harborflue.example,31,22,31,212,88\n"+
		"brindleandash.example,9,4,7,19,12\nnobody.example,1,1,1,1,1\nTotal,,,39,232,\n", nil)
	assert.Equal(t, "10 figures", kept.Says)
	assert.Equal(t, 2, kept.LeftN)
	row := rowOf(t, kept.Standing, "links", "sites that link to it")
	assert.Equal(t, "7", row.Cells[0].Text)
	assert.Equal(t, "41: add 34", row.Target)
	assert.Contains(t, row.Cells[0].Source, "export.csv, Nov 1, 2026")
	assert.Equal(t, "9 of 100", rowOf(t, kept.Standing, "links", "strength: “Power”").Cells[0].Text)
	assert.Equal(t, "22 of 100", rowOf(t, kept.Standing, "links", "strength: “Trust score”").Cells[1].Text)

	value := 8.0
	of := stood.FigureOf{Figure: "referring_domains", Scope: "site"}
	s, err = a.Standing.Type(ctx, id, "brindleandash.example", stood.FigureTyped{FigureOf: of, Value: &value,
		TakenOn: "2026-11-20"}, nil)
	require.NoError(t, err)
	cell := rowOf(t, s, "links", "sites that link to it").Cells[0]
	assert.Equal(t, "8", cell.Text)
	require.Len(t, cell.Former, 1)
	assert.InDelta(t, 7, cell.Former[0].Value, 0)
	s, err = a.Standing.Type(ctx, id, "brindleandash.example", stood.FigureTyped{FigureOf: of}, nil)
	require.NoError(t, err)
	assert.Equal(t, "7", rowOf(t, s, "links", "sites that link to it").Cells[0].Text,
		"the newest is forgotten, the one before stands")

	_, err = a.Standing.Type(ctx, id, "brindleandash.example", stood.FigureTyped{FigureOf: of, Value: &value,
		TakenOn: "2026-13-01"}, nil)
	fails(t, err, fault.DayBad.Code)
	_, err = a.Standing.Type(ctx, id, "nobody.example", stood.FigureTyped{FigureOf: of, Value: &value}, nil)
	assert.Error(t, err)
	_, err = a.Standing.Read(ctx, id, "x.json", []byte("{\"a\": "), nil)
	fails(t, err, tables.JSONUnreadable.Code)
	s, err = a.Standing.Forget(ctx, id, kept.Import)
	require.NoError(t, err)
	assert.False(t, s.Known)
	_, err = a.Standing.Forget(ctx, id, kept.Import)
	assert.Error(t, err)
}

// Links are judged; what a user says of a domain holds for all clients and goes before all else.
func TestLinksAreJudged(t *testing.T) {
	a, _, id := overPractice(t)
	text := "Source page,Source title,Anchor,Domain score,First seen,Target URL\n" +
		"https://tarnharborchamber.example/members/x,Tarn Harbor Chamber of Commerce," +
		"Harbor Flue,38,2020-01-01,http://harborflue.example/\n" +
		"https://tarnharborchamber.example/members/y,Tarn Harbor Chamber of Commerce," +
		"Old Saltbox,38,2020-01-01,http://oldsaltbox.example/\n" +
		"https://coastroofers.example/partners,Coast Roofers: partners," +
		"Harbor Flue,19,2021-01-01,http://harborflue.example/\n" +
		"https://weak.example/1,x,y,1,2021-01-01,http://harborflue.example/\n" +
		"https://poor.example/1,x,y,1,2021-01-01,http://brindleandash.example/\n" +
		"https://elsewhere.example/1,x,y,50,2021-01-01,http://stranger.example/\n"
	kept := brings(t, a, id, "links.csv", text, nil)
	assert.Equal(t, "5 links from 4 sites", kept.Says)
	assert.Equal(t, 1, kept.LeftN, "a row of another site")
	ask, err := a.Standing.Domains(ctx, id, "get", 0)
	require.NoError(t, err)
	require.Len(t, ask.List, 2)
	assert.Equal(t, "tarnharborchamber.example", ask.List[0].Name)
	assert.Equal(t, "association or town", ask.List[0].KindIs)
	assert.Equal(t, "2 rivals have it; names Tarn Harbor", ask.List[0].Why)
	assert.Equal(t, "Brindle & Ash Chimney", ask.List[0].Ask)
	assert.Equal(t, "neighboring business", ask.List[1].KindIs)
	own, err := a.Standing.Domains(ctx, id, "own", 0)
	require.NoError(t, err)
	assert.Equal(t, "poor.example", own.List[0].Name)

	other, err := a.Ground.New(ctx, view.Business{Name: "Other"})
	require.NoError(t, err)
	_, err = a.Standing.Judge(ctx, other.ID, []string{"weak.example"}, backlink.Get)
	require.NoError(t, err)
	ask, err = a.Standing.Domains(ctx, id, "get", 0)
	require.NoError(t, err)
	require.Len(t, ask.List, 3)
	assert.True(t, ask.List[2].ByHand)
	_, err = a.Standing.Judge(ctx, id, []string{"weak.example"}, "")
	require.NoError(t, err)
	ask, err = a.Standing.Domains(ctx, id, "get", 0)
	require.NoError(t, err)
	assert.Len(t, ask.List, 2, "taken back")

	s, err := a.Standing.Say(ctx, id, []stood.PartSaid{{Kind: "link", Key: "coastroofers.example", State: "done"}})
	require.NoError(t, err)
	for _, target := range s.Targets {
		if target.Kind == "link" {
			assert.InDelta(t, 45, target.Minutes, 0, "what is done takes nothing")
		}
	}
	brings(t, a, id, "own.csv",
		"Source page,Anchor,Target URL\nhttps://poor.example/1,y,http://brindleandash.example/\n",
		func(l *stood.FigureLayout) { l.TakenOn = "" })
	ask, err = a.Standing.Domains(ctx, id, "get", 0)
	require.NoError(t, err)
	assert.Equal(t, stood.PartState("done"), ask.List[1].State)
}

// Listings are held against the business, field by field, and go out as CSV for whoever fills them in.
func TestListingsAreHeldAgainstTheBusiness(t *testing.T) {
	a, _, id := overPractice(t)
	g, err := a.Ground.Get(ctx, id)
	require.NoError(t, err)
	g.Business.Address, g.Business.Phone = "12 North Quay Street, Tarn Harbor, ME 04101", "207-555-0134"
	_, err = a.Ground.Save(ctx, id, g.Business, nil)
	require.NoError(t, err)
	kept := brings(t, a, id, "directories.csv", "Directory,Business name,Address,Phone,Listing URL\n"+
		"Townledger,Brindle & Ash Chimney,\"12 N Quay St, Tarn Harbor, ME 04101\",(207) 555-0134,"+
		"https://townledger.example/b\n"+
		"Neighborlist,Brindle and Ash Chimney,\"21 N Quay St, Tarn Harbor, ME 04101\",207-555-0134,\n"+
		"Neighborlist,Harbor Flue & Hearth,,,\nBizatlas,Harbor Flue & Hearth,,,\n", nil)
	assert.Equal(t, "4 listings", kept.Says)
	list, err := a.Standing.Listings(ctx, id)
	require.NoError(t, err)
	require.Len(t, list.Listed, 2)
	require.Len(t, list.Missing, 1)
	assert.Equal(t, "Bizatlas", list.Missing[0].Name)
	var wrong []string
	for _, c := range list.Listed[0].Checks {
		if c.Verdict == "differs" {
			wrong = append(wrong, c.Name+": "+c.Theirs)
		}
	}
	assert.Equal(t, []string{"address: 21 N Quay St, Tarn Harbor, ME 04101"}, wrong)
	body, err := a.Standing.ListingsFile(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, 3, strings.Count(string(body), "\n"), "%s", body)
	s, err := a.Standing.Get(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, "1 of 2", rowOf(t, s, "listings", "name, address, phone, hours, website agree").Cells[0].Text)
	assert.Equal(t, "1 lists a rival and not you, 1 to correct · 25 min", s.Groups[0].Says)
}

// Rows that name nobody are of the one business that all others are of; of a list of several they are left out.
func TestRowsWithoutAName(t *testing.T) {
	a, _, id := overPractice(t)
	one := "Directory,Business name,Phone,Status\nTownledger,Brindle & Ash Chimney,207-555-0134,listed\n" +
		"Bizatlas,,,not found\nMeetlocal,Brindel Chimneys,207-555-0134,listed\n"
	assert.Equal(t, "3 listings", brings(t, a, id, "one.csv", one, nil).Says)
	list, err := a.Standing.Listings(ctx, id)
	require.NoError(t, err)
	require.Len(t, list.Listed, 2)
	assert.Equal(t, stood.FieldVerdict("differs"), list.Listed[0].Checks[0].Verdict,
		"another name of the same business")
	several := one + "Townledger,Old Saltbox Masonry,,listed\nOldbook,Somebody Else,,listed\n"
	kept := brings(t, a, id, "several.csv", several, nil)
	assert.Equal(t, "2 listings", kept.Says)
	assert.Equal(t, 3, kept.LeftN)
	reviews := "Business,Category,Reviews\nBrindle & Ash,Chimney sweep,13\nOld Saltbox,Mason,214\nTarn,Sweep,2\n"
	assert.Equal(t, "2 figures, 4 facts of map profiles", brings(t, a, id, "maps.csv", reviews, nil).Says)
}

// Facts of one business are those of the site that a person says.
func TestFactsOfAMapProfile(t *testing.T) {
	a, _, id := overPractice(t)
	facts := "Name\tBrindle & Ash Chimney Sweeps Tarn Harbor\nPrimary category\tChimney sweep\n" +
		"Phone number\t207-555-0134\nPhotos\t4\nLast post\t2026-08-02\n"
	file, err := a.Standing.Read(ctx, id, "pasted", []byte(facts), nil)
	require.NoError(t, err)
	assert.True(t, file.Tables[0].NeedSite)
	layout := stood.FigureLayout{Kind: file.Tables[0].Kind, Heading: -1, Columns: file.Tables[0].Columns}
	_, err = a.Standing.Keep(ctx, id, "pasted", []byte(facts), layout)
	fails(t, err, standings.SiteNeeded.Code)
	layout.Site = "brindleandash.example"
	kept, err := a.Standing.Keep(ctx, id, "pasted", []byte(facts), layout)
	require.NoError(t, err)
	assert.Equal(t, "1 figure, 4 facts of map profiles", kept.Says)
	p, err := a.Standing.Profile(ctx, id)
	require.NoError(t, err)
	wants := map[stood.ProfileField]string{}
	for _, i := range p.Items {
		wants[i.Field] = i.Wants
	}
	assert.Equal(t, "Name: use “Brindle & Ash Chimney” and nothing more", wants["name"])
	assert.Empty(t, wants["category"])
	empty := ""
	_, err = a.Standing.TypeFact(ctx, id, "brindleandash.example", stood.FactTyped{Field: "description", Value: &empty})
	require.NoError(t, err)
	p, err = a.Standing.Profile(ctx, id)
	require.NoError(t, err)
	for _, i := range p.Items {
		if i.Field == "description" {
			assert.Equal(t, stood.ItemState("blank"), i.State)
		}
	}
}

// Hostile texts in every cell come out harmless, and nothing is lost by them.
func TestHostileCells(t *testing.T) {
	a, _, id := overPractice(t)
	hostile := []string{`=cmd|'/c calc'!A1`, `<script>alert(1)</script>`, `]]>`, "\u202eabc\u0000", `$(rm -rf ~)`,
		strings.Repeat("x", 5000), "👩‍👩‍👧", `"; DROP TABLE clients; --`}
	var rows strings.Builder
	rows.WriteString("Directory\tBusiness name\tAddress\tPhone\tWebsite\tHours\n")
	for i, h := range hostile {
		cell := strings.ReplaceAll(h, "\x00", "")
		rows.WriteString(strings.Join([]string{cell + string(rune('a'+i)), "Brindle & Ash Chimney", cell, cell, cell,
			cell}, "\t"))
		rows.WriteString("\n")
	}
	brings(t, a, id, "hostile.tsv", rows.String(), nil)
	list, err := a.Standing.Listings(ctx, id)
	require.NoError(t, err)
	assert.NotEmpty(t, list.Listed)
	for _, e := range list.Listed {
		assert.LessOrEqual(t, len([]rune(e.Name)), 500)
	}
	body, err := a.Standing.ListingsFile(ctx, id)
	require.NoError(t, err)
	for _, line := range strings.Split(string(body), "\n") {
		assert.False(t, strings.HasPrefix(line, "=") || strings.HasPrefix(line, `"=`), "%s", line)
	}
	plan, err := a.Handoff.File(ctx, documents.Ask{Client: id, Kind: documents.OwnersPlan, Format: documents.HTML})
	require.NoError(t, err)
	assert.NotContains(t, string(plan.Body), "<script>alert")
}

// A layout that fits no table gets one sentence, a client without a site takes no file by chance, and rows that name
// nobody are counted.
func TestLayoutsThatFitNothing(t *testing.T) {
	a, _, id := overPractice(t)
	body := []byte("Domain,Backlinks\nharborflue.example,3\n")
	for _, l := range []stood.FigureLayout{
		{Table: -1}, {Table: 9}, {Kind: "links", Heading: -7}, {Kind: "pairs", Heading: 99},
		{Kind: "totals", Heading: 5000, Columns: []stood.ColumnCode{"site", "links_site"}},
	} {
		_, err := a.Standing.Keep(ctx, id, "x.csv", body, l)
		_, known := fault.Of(err)
		assert.True(t, known, "%+v: %v", l, err)
	}
	other, err := a.Ground.New(ctx, view.Business{Name: "Lowtide"})
	require.NoError(t, err)
	file, err := a.Standing.Read(ctx, other.ID, "townledger figures.csv",
		[]byte("Source page,Anchor\nhttps://x.example/1,y\nhttps://z.example/1,y\n"), nil)
	require.NoError(t, err)
	assert.Empty(t, file.Tables[0].Site)
	assert.True(t, file.Tables[0].NeedSite)
	assert.Equal(t, 2, file.Tables[0].LeftN)
}
