package main

import (
	"bufio"
	"compress/gzip"
	"context"
	"errors"
	"fmt"
	"io"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"time"

	"inktally/core/page"
	"inktally/core/reading"
	"inktally/internal/datafile"
	"inktally/internal/store"
)

// soakKills is how often the program is killed.
const soakKills = 200

var errLost = errors.New("something acknowledged is lost")

// kills kills the program at drawn moments while it imports, measures, migrates, deletes and
// backs up, and looks whether all that it had acknowledged is there.
func kills(self string) error {
	dir, err := os.MkdirTemp("", "inktally-kills-")
	if err != nil {
		return err
	}
	defer os.RemoveAll(dir)
	path := filepath.Join(dir, "inktally.db")
	began, migrated, acks := time.Now(), 0, 0
	there := map[string]bool{} // clients by name
	for n := range soakKills {
		if n%10 == 0 { // a file of an older program
			for _, old := range []string{path, path + "-wal", path + "-shm"} {
				_ = os.Remove(old)
			}
			if err := unpackOld(path); err != nil {
				return err
			}
			there = map[string]bool{"Brindle & Ash Chimney": true}
			migrated++
		}
		said, doubt, err := killed(self, path, time.Duration(rand.IntN(400))*time.Millisecond)
		if err != nil {
			return err
		}
		acks += len(said)
		for _, line := range said {
			what, name, _ := strings.Cut(line, " ")
			there[name] = what == "kept"
		}
		if err := hold(path, there, doubt); err != nil {
			return fmt.Errorf("kill %d: %w", n, err)
		}
	}
	fmt.Printf("%-52s %6d acknowledged, none lost, %d files migrated, %.0f s\n", fmt.Sprintf("soak: %d kills", soakKills), acks, migrated, time.Since(began).Seconds())
	return nil
}

// killed lets a process work for a while and kills it; it returns what it had acknowledged,
// and what it was at.
func killed(self, path string, after time.Duration) (said []string, doubt string, err error) {
	cmd := exec.Command(self)
	cmd.Env = append(os.Environ(), "SOAK=work", "SOAK_FILE="+path)
	out, err := cmd.StdoutPipe()
	if err != nil {
		return nil, "", err
	}
	if err := cmd.Start(); err != nil {
		return nil, "", err
	}
	time.AfterFunc(after, func() { _ = cmd.Process.Kill() })
	lines := bufio.NewScanner(out)
	for lines.Scan() {
		what, name, _ := strings.Cut(lines.Text(), " ")
		if what == "at" {
			doubt = name
		} else {
			said = append(said, lines.Text())
		}
	}
	_ = cmd.Wait()
	return said, doubt, nil
}

// hold opens the file and holds it against what was acknowledged.
func hold(path string, there map[string]bool, doubt string) error {
	ctx := context.Background()
	if _, err := os.Stat(path); err != nil {
		return nil
	}
	db, err := store.Open(ctx, path)
	if err != nil {
		return err
	}
	defer db.Close()
	if says, err := datafile.Damage(ctx, path); err != nil || says != "" {
		return fmt.Errorf("%w: %s %w", errLost, says, err)
	}
	if _, damaged, err := db.Check(ctx); err != nil || len(damaged) > 0 {
		return fmt.Errorf("%w: %d pages %w", errLost, len(damaged), err)
	}
	var clients []store.Client
	if err := db.Read(ctx, func(tx *store.Tx) (err error) { clients, err = tx.Clients(); return err }); err != nil {
		return err
	}
	is := map[string]bool{}
	for _, c := range clients {
		is[c.Name] = true
		if _, known := there[c.Name]; !known {
			there[c.Name] = true // it was kept, and could not say so any more
		}
	}
	for name, want := range there {
		if is[name] != want {
			if name != doubt {
				return fmt.Errorf("%w: %s", errLost, name)
			}
			there[name] = is[name]
		}
	}
	for _, b := range datafile.Backups(path) {
		if says, err := datafile.Damage(ctx, b.Path); err != nil || says != "" {
			return fmt.Errorf("%w: a backup: %s %w", errLost, says, err)
		}
	}
	return nil
}

// work adds, measures, deletes and backs up until it is killed, and tells what is kept.
func work(path string) {
	ctx := context.Background()
	db, err := store.Open(ctx, path)
	if err != nil {
		fmt.Fprintln(os.Stderr, "soak:", err)
		os.Exit(1)
	}
	html := []byte("<p>" + strings.Repeat("word ", 20_000))
	p := page.Read(html, page.Source{})
	var mine []int64
	var names []string
	for n := 0; ; n++ {
		name := fmt.Sprintf("client %d %d", os.Getpid(), n)
		fmt.Println("at", name)
		var id int64
		err := db.Write(ctx, func(tx *store.Tx) (err error) {
			if id, err = tx.AddClient(store.Client{Name: name}); err != nil {
				return err
			}
			for i := range 5 {
				if _, err = tx.AddReading(store.Reading{ClientID: id, URL: fmt.Sprint(i), Facts: reading.FactsOf(p)}, html, p.Data()); err != nil {
					return err
				}
			}
			return nil
		})
		if err == nil {
			fmt.Println("kept", name)
			mine, names = append(mine, id), append(names, name)
		}
		if n%3 == 2 {
			at := rand.IntN(len(mine))
			fmt.Println("at", names[at])
			if err := db.Delete(ctx, func(tx *store.Tx) error { return tx.DeleteClient(mine[at]) }); err == nil {
				fmt.Println("gone", names[at])
				mine, names = append(mine[:at], mine[at+1:]...), append(names[:at], names[at+1:]...)
			}
		}
		if n%5 == 4 {
			_ = datafile.BackUp(ctx, path, time.Now().AddDate(0, 0, n), 3)
		}
	}
}

// unpackOld puts the file of an older program at a path.
func unpackOld(path string) error {
	packed, err := os.Open("internal/store/testdata/version6.db.gz")
	if err != nil {
		return err
	}
	defer packed.Close()
	r, err := gzip.NewReader(packed)
	if err != nil {
		return err
	}
	out, err := os.OpenFile(path, os.O_CREATE|os.O_TRUNC|os.O_WRONLY, 0o600)
	if err != nil {
		return err
	}
	_, err = io.Copy(out, r)
	return errors.Join(err, out.Close())
}
