package practice

import (
	"encoding/json"
	"errors"
	"io/fs"
	"net/http"
	"slices"
	"strings"

	"inktally/internal/source"
)

// demandFile is what the practice demand knows.
type demandFile struct {
	Phrases []source.Demanded            `json:"phrases"`
	Sites   map[string][]source.Demanded `json:"sites"`
}

// demandOf reads what a folder knows of demand, nothing where it has no such file.
func demandOf(folder fs.FS) (d demandFile, err error) {
	raw, err := fs.ReadFile(folder, "demand.json")
	if errors.Is(err, fs.ErrNotExist) {
		return d, nil
	}
	if err == nil {
		err = json.Unmarshal(raw, &d)
	}
	return d, err
}

// DemandURL returns the address of the practice demand.
func (w *Web) DemandURL() string { return "http://" + w.Addr() + "/practice/demand" }

// known returns what is known of a phrase, by its very words.
func (d *demandFile) known(phrase string) (source.Demanded, bool) {
	at := slices.IndexFunc(d.Phrases, func(k source.Demanded) bool { return strings.EqualFold(k.Phrase, phrase) })
	if at < 0 {
		return source.Demanded{}, false
	}
	return d.Phrases[at], true
}

// serveDemand answers by docs/contracts/demand.md.
func (w *Web) serveDemand(out http.ResponseWriter, r *http.Request) {
	answer := []source.Demanded{}
	switch {
	case strings.HasSuffix(r.URL.Path, "/phrases") && r.Method == http.MethodPost:
		var asked struct {
			Phrases []string `json:"phrases"`
		}
		if err := json.NewDecoder(http.MaxBytesReader(out, r.Body, 1<<20)).Decode(&asked); err != nil {
			http.Error(out, "the question cannot be read", http.StatusBadRequest)
			return
		}
		for _, p := range asked.Phrases {
			if k, ok := w.demand.known(p); ok {
				k.Phrase = p
				answer = append(answer, k)
			}
		}
	case strings.HasSuffix(r.URL.Path, "/found"):
		found, ok := w.demand.Sites[strings.TrimPrefix(r.URL.Query().Get("site"), "www.")]
		if !ok {
			http.NotFound(out, r)
			return
		}
		for _, f := range found {
			if k, ok := w.demand.known(f.Phrase); ok {
				k.Position = f.Position
				answer = append(answer, k)
			}
		}
	default:
		http.NotFound(out, r)
		return
	}
	out.Header().Set("Content-Type", "application/json")
	_ = json.NewEncoder(out).Encode(map[string]any{"phrases": answer})
}
