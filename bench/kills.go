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
	there := map[string]bool{} // what was kept, and what is gone
	for n := range soakKills {
		if n%10 == 0 { // a file of an older program
			for _, old := range []string{path, path + "-wal", path + "-shm"} {
				_ = os.Remove(old)
			}
			if err := unpackOld(path); err != nil {
				return err
			}
			there = map[string]bool{kept(aClient, "Brindle & Ash Chimney"): true}
			migrated++
		}
		acknowledged, doubt, err := killed(self, path, time.Duration(rand.IntN(800))*time.Millisecond)
		if err != nil {
			return err
		}
		acks += len(acknowledged)
		for _, line := range acknowledged {
			what, name, _ := strings.Cut(line, " ")
			there[name] = what == "kept"
			if client, gone := strings.CutPrefix(name, aClient+" "); gone && what == "gone" {
				delete(there, kept(aList, client))
				delete(there, kept(aRun, client))
			}
		}
		if err := hold(path, there, doubt); err != nil {
			return fmt.Errorf("kill %d: %w", n, err)
		}
	}
	fmt.Printf("%-52s %6d acknowledged, none lost, %d files migrated, %.0f s\n",
		fmt.Sprintf("soak: %d kills", soakKills), acks, migrated, time.Since(began).Seconds())
	return nil
}

// killed lets a process work for a while and kills it; it returns what it had acknowledged,
// and the client that it was deleting last.
func killed(self, path string, after time.Duration) (acknowledged []string, doubt string, err error) {
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
			acknowledged = append(acknowledged, lines.Text())
		}
	}
	_ = cmd.Wait()
	return acknowledged, doubt, nil
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
	is := map[string]bool{}
	if err := db.Read(ctx, func(tx *store.Tx) error { return keptIn(tx, is) }); err != nil {
		return err
	}
	for name, now := range is {
		if _, known := there[name]; !known {
			there[name] = now // what was kept and could not say so any more
		}
	}
	for name, want := range there {
		if is[name] != want {
			if !strings.HasSuffix(name, " "+doubt) {
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

// keptIn returns what is kept: clients, whole lists, and pages of whole runs. Half a list is a fault.
func keptIn(tx *store.Tx, is map[string]bool) error {
	clients, err := tx.Clients()
	if err != nil {
		return err
	}
	for _, c := range clients {
		is[kept(aClient, c.Name)] = true
		phrases, err := tx.BookPhrases(c.ID)
		if err != nil {
			return err
		}
		pages, err := tx.LatestReadings(c.ID)
		if err != nil {
			return err
		}
		is[kept(aList, c.Name)] = len(phrases) >= workPhrases
		is[kept(aRun, c.Name)] = len(pages) > 0
		if strings.HasPrefix(c.Name, workName) && len(phrases) > 1 && len(phrases) < workPhrases {
			return fmt.Errorf("%w: %d of %d phrases of %s", errLost, len(phrases), workPhrases, c.Name)
		}
	}
	return nil
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
