package sheet_test

import (
	"fmt"

	"inktally/core/page"
	"inktally/core/sheet"
)

// A page is measured by criteria: where each phrase stands, exactly and loosely.
func ExampleMeasure() {
	criteria := sheet.NewCriteria(sheet.Asked{Phrases: []string{"chimney sweep ostrey"}})
	p := page.Read([]byte(`<title>Chimney sweep Ostrey</title><p>In Ostrey we sweep chimneys.`), page.Source{})
	placed := sheet.Measure(p, criteria).Phrase("chimney sweep ostrey")
	fmt.Println("title:", placed.Exact.Title, "body, loosely:", placed.Loose.Body)
	// Output:
	// title: 1 body, loosely: 1
}
