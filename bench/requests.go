package main

import (
	"bytes"
	"cmp"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"math/rand/v2"
	"mime/multipart"
	"net/http"
	"net/url"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"sync"
	"time"

	"inktally/internal/server"
	"inktally/internal/server/described"
)

// manyRequests is how many requests of all kinds are sent, and so many at once.
const (
	manyRequests   = 50_000
	requestsAtOnce = 4
)

// texts are what strings are drawn from: what the demo knows, and what nobody should type.
var texts = []string{"", "chimney sweep tarn harbor", "tarn harbor chimney sweep", "home", "p2", "p3",
	"Chimney sweeping", "https://brindleandash.example/", "harborflue.example", "http://10.0.0.1/",
	"oldsaltbox.example/masonry", "Tarn Harbor", "ME", "2026-11-30", "kept", "dropped", "directory", "get",
	"<script>alert(1)</script>", "'; DROP TABLE clients; --", "\x00\u202e", "%s%n", "../../etc/passwd", "=1+1",
	"\r\nX: y", "🧹 漢字 é", strings.Repeat("long ", 400), "-1", "1e309", "NaN", "true", "plan", "brief", "one-page",
	"message", "account", "words", "next", "hello", "en", "fr", "$"}

// drawer draws requests.
type drawer struct {
	*rand.Rand
	api   described.API
	all   []described.Operation
	pages map[int][]int // of the clients of the demo, by client
}

func (d *drawer) text() string { return texts[d.IntN(len(texts))] }

// of draws a value that fits a schema, now and then one that does not.
func (d *drawer) of(s described.Schema, depth int) any {
	s = d.api.Resolve(s)
	if d.IntN(40) == 0 {
		return []any{nil, true, -1, 1e300, "x", []any{}, map[string]any{}}[d.IntN(7)]
	}
	if len(s.Enum) > 0 {
		return s.Enum[d.IntN(len(s.Enum))]
	}
	kinds := s.Kinds()
	switch kinds[d.IntN(len(kinds))] {
	case "object":
		out := map[string]any{}
		for _, name := range slices.Sorted(maps.Keys(s.Properties)) {
			if slices.Contains(s.Required, name) || d.IntN(2) == 0 {
				out[name] = d.of(s.Properties[name], depth+1)
			}
		}
		return out
	case "array":
		out := []any{}
		for range d.IntN(max(1, 5-depth)) {
			out = append(out, d.of(*s.Items, depth+1))
		}
		return out
	case "integer":
		return []int{0, 1, 2, 3, 5, 14, 50, 1000, -1, 1 << 40}[d.IntN(10)]
	case "number":
		return []float64{0, 0.5, 1, 3, 20, 1e6, -1}[d.IntN(7)]
	case "boolean":
		return d.IntN(2) == 0
	case "null":
		return nil
	}
	return d.text()
}

// request draws one of an operation.
func (d *drawer) request(ctx context.Context, base string, o described.Operation) (*http.Request, error) {
	body, kind, err := d.body(o)
	if err != nil {
		return nil, err
	}
	req, err := http.NewRequestWithContext(ctx, o.Method, base+d.address(o), body)
	if err == nil && kind != "" {
		req.Header.Set("Content-Type", kind)
	}
	return req, err
}

// address draws the path and the query.
func (d *drawer) address(o described.Operation) string {
	path, query := o.Path, url.Values{}
	client := 1 + d.IntN(3)
	if o.OperationID == "deleteClient" || d.IntN(20) == 0 {
		client = 4 + d.IntN(20) // those of the demo stay
	}
	put := func(name, value string) { path = strings.Replace(path, "{"+name+"}", url.PathEscape(value), 1) }
	for _, p := range o.Parameters {
		value := fmt.Sprint(d.of(p.Schema, 0))
		pages := d.pages[client]
		switch {
		case p.In == "query":
			if d.IntN(4) > 0 {
				query.Set(p.Name, value)
			}
		case p.Name == "client":
			put(p.Name, strconv.Itoa(client))
		case p.Name == "page" && len(pages) > 0 && o.Method != http.MethodDelete:
			put(p.Name, strconv.Itoa(pages[d.IntN(len(pages))]))
		case p.Schema.Type == "integer":
			put(p.Name, strconv.Itoa(1+d.IntN(80)))
		case len(p.Schema.Enum) > 0:
			put(p.Name, value)
		default:
			put(p.Name, cmp.Or(d.text(), "x"))
		}
	}
	return path + "?" + query.Encode()
}

// body draws the body with its type, nil for an operation that takes none.
func (d *drawer) body(o described.Operation) (body io.Reader, kind string, err error) {
	if form, ok := o.RequestBody.Content["multipart/form-data"]; ok {
		body, kind = d.form(form.Schema)
		return body, kind, nil
	}
	for kind, is := range o.RequestBody.Content {
		raw, err := json.Marshal(d.of(is.Schema, 0))
		if d.IntN(30) == 0 {
			raw = raw[:d.IntN(len(raw)+1)]
		}
		return bytes.NewReader(raw), kind, err
	}
	return nil, "", nil
}

// files are what forms hold.
var files = map[string]string{
	"list.csv": "phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\n" +
		"flue liner tarn harbor,90,12,\n",
	"page.html": "<title>Sweeps</title><h1>Chimney sweep Tarn Harbor</h1><p>We sweep chimneys.<img src=IMG_1.jpg>" +
		"<a href='https://harborflue.example/'>Harbor Flue</a> 4.8 (120) · 207-555-0134",
	"links.csv":  "domain,url,anchor,strength\nblog.example,https://blog.example/a,sweeps,40\n",
	"broken.csv": "\xff\xfe\x00,\"\n\"\"", "book.xlsx": "PK\x03\x04 no such thing", "empty.txt": "",
}

// form draws one with a file.
func (d *drawer) form(s described.Schema) (io.Reader, string) {
	var b bytes.Buffer
	w := multipart.NewWriter(&b)
	for _, name := range slices.Sorted(maps.Keys(s.Properties)) {
		switch {
		case name == "file" || name == "files":
			file := slices.Sorted(maps.Keys(files))[d.IntN(len(files))]
			part, _ := w.CreateFormFile(name, file)
			_, _ = io.WriteString(part, files[file])
		case d.IntN(2) == 0:
			_ = w.WriteField(name, fmt.Sprint(d.of(s.Properties[name], 0)))
		}
	}
	_ = w.Close()
	return &b, w.FormDataContentType()
}

// tally is what came of the requests of an operation.
type tally struct {
	mu      sync.Mutex
	slowest map[string]float64
	states  map[int]int
	failed  []string
}

// soakRequests sends requests of every operation, drawn by the API's description, to the program with its demo.
func soakRequests() error {
	dir, err := os.MkdirTemp("", "inktally-requests-")
	if err != nil {
		return err
	}
	defer os.RemoveAll(dir)
	base, pid, end, err := startDemo(filepath.Join(dir, "demo.db"))
	if err != nil {
		return err
	}
	defer end()
	for _, client := range []string{"1", "2", "3"} {
		if err := atRest(base, client); err != nil {
			return err
		}
	}
	pages := map[int][]int{}
	for client := 1; client <= 3; client++ {
		ground, err := got(fmt.Sprintf("%s/api/clients/%d", base, client))
		if err != nil {
			return err
		}
		for _, p := range ground["pages"].([]any) {
			pages[client] = append(pages[client], int(p.(map[string]any)["id"].(float64)))
		}
	}
	raw, err := server.OpenAPI()
	if err != nil {
		return err
	}
	api, err := described.Read(raw)
	if err != nil {
		return err
	}
	all := api.Operations()
	t := &tally{slowest: map[string]float64{}, states: map[int]int{}}
	began, seed := time.Now(), rand.Uint64()
	fmt.Printf("soak: requests drawn from %d\n", seed)
	for part := range 5 {
		var group sync.WaitGroup
		for worker := range requestsAtOnce {
			d := &drawer{rand.New(rand.NewPCG(seed+uint64(part), uint64(worker))), api, all, pages}
			group.Go(func() {
				for i := range manyRequests / 5 / requestsAtOnce {
					t.ask(d, base, d.all[(i*requestsAtOnce+worker)%len(d.all)])
				}
			})
		}
		group.Wait()
		held, most := residentOf(pid)
		fmt.Printf("soak: %6d drawn requests, %4.0f s: %v, %d MB, at most %d MB\n", (part+1)*manyRequests/5,
			time.Since(began).Seconds(), t.states, held, most)
	}
	t.print()
	return nil
}

func (t *tally) ask(d *drawer, base string, o described.Operation) {
	ctx, cancel := context.WithTimeout(context.Background(), time.Minute)
	defer cancel()
	req, err := d.request(ctx, base, o)
	if err != nil {
		return // an address that nobody can ask for
	}
	began := time.Now()
	resp, err := http.DefaultClient.Do(req)
	took := time.Since(began).Seconds()
	state, says := 0, ""
	if err == nil {
		raw, _ := io.ReadAll(io.LimitReader(resp.Body, 300))
		_, _ = io.Copy(io.Discard, resp.Body)
		resp.Body.Close()
		state, says = resp.StatusCode, string(raw)
		took = time.Since(began).Seconds()
	} else {
		says = err.Error()
	}
	t.mu.Lock()
	defer t.mu.Unlock()
	t.states[state]++
	t.slowest[o.OperationID] = max(t.slowest[o.OperationID], took)
	if state == 0 || state >= 500 {
		t.failed = append(t.failed, fmt.Sprintf("%s %s: %d %s", req.Method, req.URL, state, says))
	}
}

// print prints the slowest operations and what failed.
func (t *tally) print() {
	slow := slices.SortedFunc(maps.Keys(t.slowest), func(a, b string) int {
		return cmp.Compare(t.slowest[b], t.slowest[a])
	})
	for _, o := range slow[:min(8, len(slow))] {
		fmt.Printf("  %-30s %.2f s at most\n", o, t.slowest[o])
	}
	fmt.Printf("  %d failed\n", len(t.failed))
	for _, f := range t.failed[:min(20, len(t.failed))] {
		fmt.Println("  ", f)
	}
}

// startDemo starts the program with its demo in a process of its own.
func startDemo(data string) (base string, pid int, end func(), err error) {
	demo := exec.Command("bin/inktally", "demo", "--listen", "127.0.0.1:0", "--data", data)
	demo.Stderr = os.Stderr
	out, err := demo.StdoutPipe()
	if err == nil {
		err = demo.Start()
	}
	if err != nil {
		return "", 0, nil, err
	}
	end = func() { _ = demo.Process.Kill(); _ = demo.Wait() }
	base, err = addressIn(out)
	if err != nil {
		end()
	}
	return base, demo.Process.Pid, end, err
}

// residentOf returns how much memory a process holds, and held at most, in MB.
func residentOf(pid int) (now, most int) {
	raw, _ := os.ReadFile(fmt.Sprintf("/proc/%d/status", pid))
	for _, line := range strings.Split(string(raw), "\n") {
		fields := strings.Fields(line)
		if len(fields) < 2 {
			continue
		}
		kb, _ := strconv.Atoi(fields[1])
		switch fields[0] {
		case "VmRSS:":
			now = kb >> 10
		case "VmHWM:":
			most = kb >> 10
		}
	}
	return now, most
}
