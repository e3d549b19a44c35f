package practice

import (
	"encoding/json"
	"net/http"
	"slices"
	"strings"
	"sync"

	"inktally/internal/source"
)

// demandFile is what the practice demand knows.
type demandFile struct {
	Phrases []source.Demanded            `json:"phrases"`
	Sites   map[string][]source.Demanded `json:"sites"`
}

var demandData = sync.OnceValue(func() (d demandFile) {
	raw, err := files.ReadFile("demand.json")
	if err == nil {
		err = json.Unmarshal(raw, &d)
	}
	if err != nil {
		panic(err) // it is a part of the program
	}
	return d
})

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
func serveDemand(out http.ResponseWriter, r *http.Request) {
	data := demandData()
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
			if k, ok := data.known(p); ok {
				k.Phrase = p
				answer = append(answer, k)
			}
		}
	case strings.HasSuffix(r.URL.Path, "/found"):
		found, ok := data.Sites[strings.TrimPrefix(r.URL.Query().Get("site"), "www.")]
		if !ok {
			http.NotFound(out, r)
			return
		}
		for _, f := range found {
			if k, ok := data.known(f.Phrase); ok {
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
