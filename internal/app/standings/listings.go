package standings

import (
	"context"
	"slices"

	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/export"
	"inktally/internal/study/stood"
	show "inktally/internal/view/stood"
	"inktally/internal/wording/standings"
)

// Listings returns directories by business: those that list the client, field by field, and those that do not.
func (s *Standing) Listings(ctx context.Context, id int64) (*show.StandingListings, error) {
	_, judged, err := s.of(ctx, id)
	if err != nil {
		return nil, err
	}
	b := judged.Business
	out := &show.StandingListings{Listed: []show.ListingEntry{}, Missing: []show.ListingEntry{},
		Business: show.ListedBusiness{Name: b.Name, Address: b.Address, Hidden: b.Hidden,
			Phones: append([]string{}, b.Phones...), Hours: b.Hours, Site: b.Site}}
	if judged.Grid == nil {
		return out, nil
	}
	for _, row := range judged.Grid.Listed {
		out.Listed = append(out.Listed, entryShown(judged, row, standing.Correct))
	}
	for _, row := range judged.Grid.Missing {
		out.Missing = append(out.Missing, entryShown(judged, row, standing.List))
	}
	return out, nil
}

// entryShown shows a directory.
func entryShown(s *stood.Standing, row listing.Row, kind standing.Kind) show.ListingEntry {
	out := show.ListingEntry{Key: row.Key, Name: row.Name, Twice: row.Twice, Checks: []show.ListingCheck{},
		Rivals:   []string{},
		Position: row.Position, State: show.PartState(standing.Open)}
	if row.Own != nil {
		out.Page, out.Found = row.Own.Page, row.Own.Found
	}
	for _, c := range row.Checks {
		out.Checks = append(out.Checks, show.ListingCheck{Field: show.ListingField(c.Field),
			Name:    standings.Field(c.Field),
			Verdict: show.FieldVerdict(c.Verdict), Note: standings.Note(c.Note), Own: c.Own, Theirs: c.Theirs})
	}
	for _, i := range row.Rivals {
		out.Rivals = append(out.Rivals, s.Sites[i].Name)
	}
	for _, t := range s.Targets {
		for _, p := range t.Parts {
			if t.Kind == kind && p.Key == row.Key {
				out.State, out.Gain, out.Minutes = show.PartState(p.State), p.Gain, p.Minutes
			}
		}
	}
	return out
}

// ListingsFile returns what is to do about listings as CSV, for whoever fills them in.
func (s *Standing) ListingsFile(ctx context.Context, id int64) ([]byte, error) {
	list, err := s.Listings(ctx, id)
	if err != nil {
		return nil, err
	}
	rows := [][]string{{"directory", "what to do", "name", "address", "phone", "hours", "website"}}
	b := list.Business
	phone := ""
	if len(b.Phones) > 0 {
		phone = b.Phones[0]
	}
	address := b.Address
	if b.Hidden {
		address = ""
	}
	row := func(e show.ListingEntry, what string) {
		rows = append(rows, []string{e.Name, what, b.Name, address, phone, b.Hours, b.Site})
	}
	for _, e := range list.Missing {
		if e.State == show.PartState(standing.Open) {
			row(e, "add")
		}
	}
	for _, e := range list.Listed {
		for _, c := range e.Checks {
			if c.Verdict == show.FieldVerdict(listing.Differs) {
				row(e, "correct the "+c.Name)
			}
		}
	}
	return export.CSV(rows)
}

// Profile returns the client's map profile, fact by fact.
func (s *Standing) Profile(ctx context.Context, id int64) (*show.MapProfile, error) {
	_, judged, err := s.of(ctx, id)
	if err != nil {
		return nil, err
	}
	out := &show.MapProfile{Items: []show.ProfileItem{}}
	items := judged.Profile
	if len(items) == 0 {
		items = mapprofile.Check(mapprofile.Ground{Business: judged.Business}, nil)
	}
	out.Filled, out.Known = mapprofile.Count(items)
	if last := items[len(items)-1].Field; last != mapprofile.PhotoNames && last != mapprofile.There {
		items = append(slices.Clone(items), mapprofile.Item{Field: mapprofile.PhotoNames, State: mapprofile.Unknown})
	}
	for _, i := range items {
		item := show.ProfileItem{Field: show.ProfileField(i.Field), Name: standings.ProfileField(i.Field),
			State:  show.ItemState(i.State),
			Theirs: i.Theirs}
		if i.State == mapprofile.Blank || i.State == mapprofile.Wrong {
			item.Wants = standings.ProfileWants(i)
		}
		out.Items = append(out.Items, item)
	}
	return out, nil
}
