package server

import (
	"context"
	"encoding/json"
	"fmt"
	"io"

	"inktally/core/imagename"
	bookapp "inktally/internal/app/phrasebook"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2"
)

// listForm is a list as a form sends it.
type listForm struct {
	File   huma.FormFile `form:"file" required:"true" doc:"CSV, TSV or XLSX"`
	Layout string        `form:"layout" required:"false" doc:"What the columns hold, as JSON; left out it is guessed"`
	Site   string        `form:"site" required:"false" doc:"The site whose found-for list it is; left out it is one for the book"`
	Area   string        `form:"area" required:"false" enum:"town,state,country" doc:"Where the searches were counted, for rows that do not say so"`
}

type listInput struct {
	ClientPath
	RawBody huma.MultipartFormFiles[listForm]
}

type familiesInput struct {
	ClientPath
	Body struct {
		Keys []string `json:"keys" minItems:"1" maxItems:"10000"`
		view.FamilyChoice
	}
}

type wordInput struct {
	ClientPath
	Body struct {
		Word    string           `json:"word" maxLength:"100"`
		Verdict view.WordVerdict `json:"verdict"`
	}
}

type tiesInput struct {
	ClientPath
	Body struct {
		Ties []struct {
			Word  string `json:"word" maxLength:"100"`
			Means string `json:"means" maxLength:"200" doc:"What it is read as: another word, the parts of a compound, itself to be read as it is; empty forgets what was said"`
		} `json:"ties" minItems:"1" maxItems:"5000"`
	}
}

type areaInput struct {
	ClientPath
	Body struct {
		Area    view.SearchArea `json:"area"`
		Phrases []int64         `json:"phrases,omitempty" maxItems:"20000" doc:"Left out, it is said of all whose area is not known"`
	}
}

type phrasesInput struct {
	ClientPath
	Body struct {
		Phrases []string `json:"phrases" minItems:"1" maxItems:"20000"`
	}
}

type membersInput struct {
	ClientPath
	Body struct {
		Phrases []string `json:"phrases" minItems:"1" maxItems:"10000"`
		With    string   `json:"with" required:"false" maxLength:"400" doc:"The phrase whose family they join; a phrase's own text lets it stand alone, empty leaves it to the rule"`
	}
}

type listsInput struct {
	ClientPath
	Body struct {
		Lists *view.Lists `json:"lists,omitempty" doc:"Left out, those of the language come back"`
		Was   *view.Lists `json:"was,omitempty" doc:"What the change was made from; then words that were added or taken away elsewhere meanwhile stay so"`
	}
}

type importPath struct {
	ClientPath
	Import int64 `path:"import"`
}

// book registers what is asked of a client's phrase book.
func (r api) book() {
	const book = "/clients/{client}/book"
	handle(r, get, book, "book", "The phrase book in families, those worth writing for first",
		ofClient(r.app.Book.Get), heavy)
	handle(r, put, book+"/families", "chooseFamilies", "Keep or dismiss families, or choose the lead phrase",
		func(ctx context.Context, in *familiesInput) (*view.Book, error) {
			return r.app.Book.ChooseFamily(ctx, in.Client, in.Body.Keys, in.Body.FamilyChoice.Core())
		}, takes(manyRows))
	handle(r, put, book+"/words", "judgeWord", "Say what a word is; the book says what that changed",
		func(ctx context.Context, in *wordInput) (*view.Book, error) {
			return r.app.Book.JudgeWord(ctx, in.Client, in.Body.Word, string(in.Body.Verdict))
		})
	handle(r, put, book+"/ties", "tieWords", "Say which words mean the same; the book says what that changed",
		func(ctx context.Context, in *tiesInput) (*view.Book, error) {
			ties := make([]bookapp.Tied, len(in.Body.Ties))
			for i, t := range in.Body.Ties {
				ties[i] = bookapp.Tied{Word: t.Word, Means: t.Means}
			}
			return r.app.Book.TieWords(ctx, in.Client, ties)
		}, takes(manyRows))
	handle(r, put, book+"/area", "setArea", "Say where the searches of phrases were counted",
		func(ctx context.Context, in *areaInput) (*view.Book, error) {
			return r.app.Book.SetArea(ctx, in.Client, in.Body.Area.Core(), in.Body.Phrases)
		}, takes(longEntry))
	handle(r, put, book+"/members", "placePhrases", "Put phrases in the family of another one, or let one stand alone",
		func(ctx context.Context, in *membersInput) (*view.Book, error) {
			return r.app.Book.PlacePhrases(ctx, in.Client, in.Body.Phrases, in.Body.With)
		}, takes(manyRows))
	handle(r, get, book+"/lists", "lists", "The lists of words by which intents are told",
		ofClient(r.app.Book.Lists))
	handle(r, put, book+"/lists", "saveLists", "Replace the lists of words",
		func(ctx context.Context, in *listsInput) (*view.ListsOfWords, error) {
			return r.app.Book.SaveLists(ctx, in.Client, in.Body.Lists, in.Body.Was)
		}, takes(wordLists))
	handle(r, get, "/clients/{client}/found", "found",
		"What the client's site and its rivals' are found for, side by side",
		ofClient(r.app.Book.Found), heavy)
	huma.Register(r.huma, r.operation(get, "/clients/{client}/book.csv", "bookFile", "The phrase book as CSV", heavy),
		r.bookFile)
	handle(r, get, book+"/candidates", "candidates", "Phrases of services, places and patterns that the book has not",
		ofClient(r.app.Book.Candidates))
	handle(r, post, book+"/phrases", "addPhrases", "Add phrases to the book",
		func(ctx context.Context, in *phrasesInput) (*view.Report, error) {
			return r.app.Book.AddPhrases(ctx, in.Client, in.Body.Phrases)
		}, takes(manyRows))
	handle(r, post, book+"/demand", "askDemand",
		"Get the search volumes of all phrases from the source, and what the site is found for",
		ofClient(r.app.Book.AskDemand))
	handle(r, post, book+"/preview", "previewList", "Show how a list is understood before it is imported",
		func(ctx context.Context, in *listInput) (*view.Preview, error) {
			name, body, err := listOf(in)
			if err != nil {
				return nil, err
			}
			return r.app.Book.PreviewList(ctx, in.Client, name, body)
		}, takes(aList))
	handle(r, post, book+"/import", "importList", "Import a list", r.importList, takes(aList))
	do(r, remove, book+"/imports/{import}", "undoImport", "Undo an import",
		func(ctx context.Context, in *importPath) error {
			return r.app.Book.UndoImport(ctx, in.Client, in.Import)
		})
}

func (r api) bookFile(ctx context.Context, in *ClientPath) (*file, error) {
	body, name, err := r.app.Book.File(ctx, in.Client)
	if err != nil {
		return nil, r.problem(ctx, "bookFile", err)
	}
	return &file{
		ContentType: "text/csv; charset=utf-8",
		Disposition: fmt.Sprintf("attachment; filename=%q", imagename.Slug("phrase book "+name)+".csv"),
		Body:        body,
	}, nil
}

func (r api) importList(ctx context.Context, in *listInput) (*view.Report, error) {
	name, body, err := listOf(in)
	if err != nil {
		return nil, err
	}
	var layout *view.Layout
	form := in.RawBody.Data()
	if form.Layout != "" {
		if err := json.Unmarshal([]byte(form.Layout), &layout); err != nil {
			return nil, ColumnsUnreadable.New().Because(err)
		}
	}
	return r.app.Book.ImportList(ctx, in.Client, name, body, layout, form.Site, view.SearchArea(form.Area).Core())
}

// listOf reads the list of a form.
func listOf(in *listInput) (name string, body []byte, err error) {
	return contentOf(in.RawBody.Data().File, bookapp.MaxList)
}

// contentOf reads a file of a form, one byte more than it may have at most.
func contentOf(file huma.FormFile, most int64) (name string, body []byte, err error) {
	defer file.Close()
	body, err = io.ReadAll(io.LimitReader(file, most+1))
	return file.Filename, body, err
}
