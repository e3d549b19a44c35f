package server

import (
	"context"
	"encoding/json"

	"inktally/internal/tables"
	"inktally/internal/view"
	"inktally/internal/view/stood"

	"github.com/danielgtaylor/huma/v2"
)

type typedFigureInput struct {
	DomainPath
	Body struct {
		stood.FigureTyped
		Was *view.FigureWas `json:"was,omitempty" doc:"What it was when the change began; then it is refused where it changed elsewhere meanwhile"`
	}
}

type typedFactInput struct {
	DomainPath
	Body stood.FactTyped
}

// tableForm is a file of figures as a form sends it.
type tableForm struct {
	File   huma.FormFile `form:"file" required:"true" doc:"CSV, TSV, XLSX, JSON, or a page with tables"`
	Layout string        `form:"layout" required:"false" doc:"How a table of it is read, as JSON of a Layout; left out it is guessed"`
}

type tableInput struct {
	ClientPath
	RawBody huma.MultipartFormFiles[tableForm]
}

type domainsInput struct {
	ClientPath
	Verdict string `query:"verdict" enum:"get,listing,doubtful,leave,own" default:"get" doc:"own are the doubtful ones that link to the client"`
	From    int    `query:"from" minimum:"0" default:"0" doc:"How many to pass over"`
}

type judgeInput struct {
	ClientPath
	Body struct {
		Domains []string          `json:"domains" minItems:"1" maxItems:"1000"`
		Verdict stood.SaidVerdict `json:"verdict" doc:"Empty takes back what was said"`
	}
}

type partsInput struct {
	ClientPath
	Body struct {
		Said []stood.PartSaid `json:"said" minItems:"1" maxItems:"5000"`
	}
}

type importedPath struct {
	ClientPath
	Import int64 `path:"import"`
}

var aTable = limit{tables.MaxFile + 1<<20, tables.ListTooLarge.New(tables.MaxFile >> 20)}

func (r api) standing() {
	const of = "/clients/{client}/standing"
	handle(r, get, of, "standing", "Links, listings and map profile beside the rivals', and what to do about them",
		ofClient(r.app.Standing.Get))
	handle(r, put, of+"/figures/{domain}", "typeFigure", "Keep a figure of a site beside its former ones",
		func(ctx context.Context, in *typedFigureInput) (*stood.Standing, error) {
			return r.app.Standing.Type(ctx, in.Client, in.Domain, in.Body.FigureTyped, in.Body.Was)
		})
	handle(r, put, of+"/facts/{domain}", "typeFact", "Keep a fact of a map profile",
		func(ctx context.Context, in *typedFactInput) (*stood.Standing, error) {
			return r.app.Standing.TypeFact(ctx, in.Client, in.Domain, in.Body)
		})
	handle(r, post, of+"/preview", "previewFigures", "Show how a file is understood before anything of it is kept",
		func(ctx context.Context, in *tableInput) (*stood.FigureFile, error) {
			name, body, layout, err := in.read()
			if err != nil {
				return nil, err
			}
			return r.app.Standing.Read(ctx, in.Client, name, body, layout)
		}, takes(aTable))
	handle(r, post, of+"/import", "importFigures", "Keep a table of a file",
		func(ctx context.Context, in *tableInput) (*stood.FiguresKept, error) {
			name, body, layout, err := in.read()
			if err != nil {
				return nil, err
			}
			if layout == nil {
				return nil, ColumnsUnreadable.New()
			}
			return r.app.Standing.Keep(ctx, in.Client, name, body, *layout)
		}, takes(aTable))
	handle(r, post, of+"/ask", "askFigures", "Ask the sources for the figures of the client and its rivals",
		ofClient(r.app.Standing.Ask))
	handle(r, remove, of+"/imports/{import}", "undoFigures", "Take back what was imported at once",
		func(ctx context.Context, in *importedPath) (*stood.Standing, error) {
			return r.app.Standing.Forget(ctx, in.Client, in.Import)
		})
	handle(r, get, of+"/domains", "linkDomains",
		"Sites that link to the rivals and not to the client, judged; some at once",
		func(ctx context.Context, in *domainsInput) (*stood.LinkDomains, error) {
			return r.app.Standing.Domains(ctx, in.Client, in.Verdict, in.From)
		})
	handle(r, put, of+"/domains", "judgeDomains", "Say what to do about sites that link, for all clients",
		func(ctx context.Context, in *judgeInput) (*stood.Standing, error) {
			return r.app.Standing.Judge(ctx, in.Client, in.Body.Domains, in.Body.Verdict.Core())
		})
	handle(r, get, of+"/listings", "listings", "Directories by business, field by field",
		ofClient(r.app.Standing.Listings), heavy)
	handle(r, get, of+"/profile", "mapProfile", "The client's map profile, fact by fact",
		ofClient(r.app.Standing.Profile))
	handle(r, put, of+"/said", "sayParts", "Tick off or drop parts of the standing's targets",
		func(ctx context.Context, in *partsInput) (*stood.Standing, error) {
			return r.app.Standing.Say(ctx, in.Client, in.Body.Said)
		}, takes(longEntry))
	huma.Register(r.huma,
		r.operation(get, of+"/listings.csv", "listingsFile", "What is to do about listings, as CSV", heavy),
		func(ctx context.Context, in *ClientPath) (*file, error) {
			body, err := r.app.Standing.ListingsFile(ctx, in.Client)
			if err != nil {
				return nil, r.problem(ctx, "listingsFile", err)
			}
			return &file{ContentType: "text/csv; charset=utf-8", Disposition: `attachment; filename="listings.csv"`,
				Body: body}, nil
		})
}

// read returns the file of a form and how a person says that it is read, nil to guess it.
func (in *tableInput) read() (name string, body []byte, layout *stood.FigureLayout, err error) {
	form := in.RawBody.Data()
	if form.Layout != "" {
		if err := json.Unmarshal([]byte(form.Layout), &layout); err != nil {
			return "", nil, nil, ColumnsUnreadable.New().Because(err)
		}
	}
	name, body, err = contentOf(form.File, tables.MaxFile)
	return name, body, layout, err
}
