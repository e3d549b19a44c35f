package copied

import (
	"inktally/core/entry"
	"inktally/core/grid"
)

// tables reads the tables of a copied text: lines of like cells under a line of headings that are
// known. Their lines are taken out of it.
func (c *copied) tables() (found []lineEntry) {
	for i := 0; i < len(c.lines); i++ {
		cells := c.lines[i].cells
		if len(cells) < 3 {
			continue
		}
		fields := grid.Guessed(cells)
		at := grid.ColumnsAt(fields)
		if len(at) < 3 || !grid.Has(at, grid.TitleField) && !grid.Has(at, grid.URLField) {
			continue
		}
		end := i + 1
		for end < len(c.lines) && len(c.lines[end].cells) >= len(cells)-1 && len(c.lines[end].cells) > 2 {
			e := grid.RowEntry(c.lines[end].cells, at)
			if !grid.Has(at, grid.PartField) && (grid.Has(at, grid.PhoneField) || grid.Has(at, grid.RatingField)) {
				e.Part = entry.Map // firms with what the map says of them
			}
			if e.Title != "" || e.URL != "" {
				found = append(found, lineEntry{lo: end, title: end, address: -1, row: &e})
			}
			end++
		}
		for k := i; k < end; k++ {
			c.lines[k].gone = true
		}
		i = end - 1
	}
	return found
}
