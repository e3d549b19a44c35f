package main

import (
	"context"
	"fmt"
	"math/rand/v2"
	"os"
	"strings"
	"time"

	"inktally/internal/app"
	"inktally/internal/datafile"
	"inktally/internal/store"
	"inktally/internal/view"
)

// What is kept of a client, as it is acknowledged.
const (
	aClient = "client"
	aList   = "list"
	aRun    = "run"

	workName    = "worked "
	workPhrases = 200
)

func kept(what, client string) string { return what + " " + client }

// work adds clients, imports lists, measures pages, deletes and backs up until it is killed, and
// tells what is kept, what it is about to delete, and what is gone.
func work(path string) {
	ctx := context.Background()
	db, err := store.Open(ctx, path)
	var a *app.App
	if err == nil {
		a, err = app.New(ctx, app.Options{DB: db,
			Web: serving{[]byte("<title>Work</title><p>" + strings.Repeat("word ", 20_000))}})
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "soak:", err)
		os.Exit(1)
	}
	mine := map[string]int64{}
	for n := 0; ; n++ {
		name := fmt.Sprintf("%s%d-%d", workName, os.Getpid(), n)
		g, err := a.Ground.New(ctx, view.Business{Name: name, HomePage: "work.example",
			Phrases: []string{"chimney sweep"}})
		if err != nil {
			continue
		}
		fmt.Println("kept", kept(aClient, name))
		mine[name] = g.ID
		if _, err := a.Book.ImportList(ctx, g.ID, "list.csv", workList(), nil, "", ""); err == nil {
			fmt.Println("kept", kept(aList, name))
		}
		if workRun(ctx, a, g.ID) {
			fmt.Println("kept", kept(aRun, name))
		}
		if n%3 == 2 {
			workDelete(ctx, a, mine)
		}
		if n%5 == 4 {
			_ = datafile.BackUp(ctx, path, time.Now().AddDate(0, 0, n), 3)
		}
	}
}

// workDelete deletes one of the clients.
func workDelete(ctx context.Context, a *app.App, mine map[string]int64) {
	at := rand.IntN(len(mine))
	for name, id := range mine {
		if at--; at >= 0 {
			continue
		}
		fmt.Println("at", name)
		if a.Ground.Delete(ctx, id) == nil { // for good, not for an hour
			fmt.Println("gone", kept(aClient, name))
			delete(mine, name)
		}
		return
	}
}

// workRun measures a client's pages and prints whether they are kept.
func workRun(ctx context.Context, a *app.App, client int64) bool {
	run, err := a.Runs.Measure(ctx, client)
	for err == nil && run.State == store.JobRunning {
		time.Sleep(time.Millisecond)
		last, lastErr := a.Runs.Last(ctx, client)
		if err = lastErr; last != nil {
			run = *last
		}
	}
	return err == nil && run.State == store.JobDone
}

func workList() []byte {
	var b strings.Builder
	b.WriteString("phrase,searches\n")
	for i := range workPhrases {
		fmt.Fprintf(&b, "chimney sweep number %d,%d\n", i, i)
	}
	return []byte(b.String())
}
