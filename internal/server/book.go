package server

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"mime/multipart"

	"inktally/core/imagename"
	"inktally/core/phrase"
	"inktally/core/table"
	"inktally/internal/app"

	"github.com/danielgtaylor/huma/v2"
)

type listInput struct {
	ClientPath
	RawBody multipart.Form
}

type familiesInput struct {
	ClientPath
	Body struct {
		Keys []string `json:"keys" minItems:"1" maxItems:"10000"`
		phrase.FamilyChoice
	}
}

type wordInput struct {
	ClientPath
	Body struct {
		Word    string `json:"word" maxLength:"100"`
		Verdict string `json:"verdict" enum:",brand,service,elsewhere,ordinary"`
		TiedTo  string `json:"tied_to" maxLength:"100" doc:"The word that it means the same as, empty for none"`
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
		Lists *phrase.Lists `json:"lists,omitempty" doc:"Left out, those of the language come back"`
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
		func(ctx context.Context, in *ClientPath) (*app.Book, error) { return r.app.Book(ctx, in.Client) })
	handle(r, put, book+"/families", "chooseFamilies", "Keep families or set them aside, or say which phrase leads",
		func(ctx context.Context, in *familiesInput) (*app.Book, error) {
			return r.app.ChooseFamily(ctx, in.Client, in.Body.Keys, in.Body.FamilyChoice)
		})
	handle(r, put, book+"/words", "judgeWord", "Say what a word is, or which one it means the same as",
		func(ctx context.Context, in *wordInput) (*app.Book, error) {
			return r.app.JudgeWord(ctx, in.Client, in.Body.Word, in.Body.Verdict, in.Body.TiedTo)
		})
	handle(r, put, book+"/members", "placePhrases", "Put phrases in the family of another one, or let one stand alone",
		func(ctx context.Context, in *membersInput) (*app.Book, error) {
			return r.app.PlacePhrases(ctx, in.Client, in.Body.Phrases, in.Body.With)
		})
	handle(r, get, book+"/lists", "lists", "The lists of words by which intents are told",
		func(ctx context.Context, in *ClientPath) (*app.ListsOfWords, error) {
			return r.app.Lists(ctx, in.Client)
		})
	handle(r, put, book+"/lists", "saveLists", "Replace the lists of words",
		func(ctx context.Context, in *listsInput) (*app.ListsOfWords, error) {
			return r.app.SaveLists(ctx, in.Client, in.Body.Lists)
		})
	handle(r, get, "/clients/{client}/found", "found", "What the client's site and its rivals' are found for, side by side",
		func(ctx context.Context, in *ClientPath) (*app.Found, error) { return r.app.Found(ctx, in.Client) })
	huma.Register(r.huma, operation(get, "/clients/{client}/book.csv", "bookFile", "The phrase book as CSV"), r.bookFile)
	handle(r, get, book+"/candidates", "candidates", "Phrases of services, places and patterns that the book has not",
		func(ctx context.Context, in *ClientPath) ([]string, error) { return r.app.Candidates(ctx, in.Client) })
	handle(r, post, book+"/phrases", "addPhrases", "Add phrases to the book",
		func(ctx context.Context, in *phrasesInput) (*app.Report, error) {
			return r.app.AddPhrases(ctx, in.Client, in.Body.Phrases)
		})
	handle(r, post, book+"/demand", "askDemand", "Ask the source for the searches of all phrases, and what the site is found for",
		func(ctx context.Context, in *ClientPath) (*app.Report, error) { return r.app.AskDemand(ctx, in.Client) })
	handle(r, post, book+"/preview", "previewList", "Show how a list in \"file\" is understood",
		func(ctx context.Context, in *listInput) (*app.Preview, error) {
			name, body, err := listOf(in.RawBody)
			if err != nil {
				return nil, err
			}
			return r.app.PreviewList(ctx, in.Client, name, body)
		})
	handle(r, post, book+"/import", "importList", "Take the list in \"file\"; \"layout\" says what its columns hold, \"site\" whose found-for list it is", r.importList)
	do(r, remove, book+"/imports/{import}", "undoImport", "Take back what an import did",
		func(ctx context.Context, in *importPath) error { return r.app.UndoImport(ctx, in.Client, in.Import) })
}

func (r api) bookFile(ctx context.Context, in *ClientPath) (*file, error) {
	body, name, err := r.app.BookFile(ctx, in.Client)
	if err != nil {
		return nil, r.problem("bookFile", err)
	}
	return &file{
		ContentType: "text/csv; charset=utf-8",
		Disposition: fmt.Sprintf("attachment; filename=%q", imagename.Slug("phrase book "+name)+".csv"),
		Body:        body,
	}, nil
}

func (r api) importList(ctx context.Context, in *listInput) (*app.Report, error) {
	name, body, err := listOf(in.RawBody)
	if err != nil {
		return nil, err
	}
	var layout *table.Layout
	if v := in.RawBody.Value["layout"]; len(v) > 0 && v[0] != "" {
		if err := json.Unmarshal([]byte(v[0]), &layout); err != nil {
			return nil, app.Invalid{Sentence: "what the columns hold cannot be read"}
		}
	}
	site := ""
	if v := in.RawBody.Value["site"]; len(v) > 0 {
		site = v[0]
	}
	return r.app.ImportList(ctx, in.Client, name, body, layout, site)
}

// listOf takes the one file of a form.
func listOf(form multipart.Form) (name string, body []byte, err error) {
	files := form.File["file"]
	if len(files) != 1 {
		return "", nil, app.Invalid{Sentence: "bring one list at a time"}
	}
	f, err := files[0].Open()
	if err != nil {
		return "", nil, err
	}
	defer f.Close()
	body, err = io.ReadAll(io.LimitReader(f, app.MaxList+1))
	return files[0].Filename, body, err
}
