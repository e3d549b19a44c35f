package results_test

import (
	"fmt"

	"inktally/core/results"
)

// A page of search results is read without knowing whose page it is.
func ExampleRead() {
	p := results.Read([]byte(`<main>
		<div><a href="https://tarnsweeps.example/"><h3>Tarn Sweeps | Chimney sweep</h3></a>
			<p>tarnsweeps.example</p><p>We sweep chimneys in Tarn Harbor and the towns beside it, all year round.</p></div>
		<div><a href="https://ostreyflues.example/care"><h3>Ostrey Flues: liners and caps</h3></a>
			<p>ostreyflues.example › care</p><p>A family firm for liners, caps and brickwork, with two crews on the road.</p></div>
	</main>`), results.Source{})
	for _, e := range p.Entries {
		fmt.Println(e.Part, e.Position, e.Domain, "-", e.Title)
	}
	// Output:
	// organic 1 tarnsweeps.example - Tarn Sweeps | Chimney sweep
	// organic 2 ostreyflues.example - Ostrey Flues: liners and caps
}
