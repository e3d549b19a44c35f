package main

import (
	"context"
	"fmt"
	"os"
	"path/filepath"
	"strconv"
	"strings"

	"inktally/internal/app"
	"inktally/internal/datafile"
	"inktally/internal/store"

	"github.com/spf13/cobra"
)

// desk is a client of a data file that a command works on.
type desk struct{ data, client string }

func (d *desk) flags(cmd *cobra.Command) {
	dataFlag(cmd, &d.data)
	cmd.Flags().StringVar(&d.client, "client", "",
		"the client's name or number; it may be left out if there is only one")
}

// open opens a copy of the data file, for the program may have it open meanwhile, and finds the client in it.
// end closes it.
func (d *desk) open(ctx context.Context) (a *app.App, client int64, end func(), err error) {
	folder, err := os.MkdirTemp("", "inktally-desk-")
	if err != nil {
		return nil, 0, nil, err
	}
	end = func() { _ = os.RemoveAll(folder) }
	defer func() {
		if err != nil {
			end()
		}
	}()
	aside := filepath.Join(folder, "copy.db")
	if err = datafile.Copy(ctx, d.data, aside); err != nil {
		return nil, 0, nil, datafile.BadDataFile.New(d.data).Because(err)
	}
	db, err := store.Open(ctx, aside)
	if err != nil {
		return nil, 0, nil, err
	}
	end = func() {
		_ = db.Close()
		_ = os.RemoveAll(folder)
	}
	if a, err = app.New(ctx, app.Options{DB: db}); err != nil {
		return nil, 0, nil, err
	}
	end = func() {
		a.Close()
		_ = db.Close()
		_ = os.RemoveAll(folder)
	}
	client, err = d.find(ctx, a)
	return a, client, end, err
}

// with does something with the client of a copy of the data file.
func (d *desk) with(ctx context.Context, do func(a *app.App, client int64) error) error {
	a, client, end, err := d.open(ctx)
	if err != nil {
		return err
	}
	defer end()
	return do(a, client)
}

// find returns the client that is called by its name or number.
func (d *desk) find(ctx context.Context, a *app.App) (int64, error) {
	list, err := a.Shelf.Names(ctx)
	if err != nil {
		return 0, err
	}
	if d.client == "" && len(list) == 1 {
		return list[0].ID, nil
	}
	names := []string{}
	for _, c := range list {
		if strings.EqualFold(c.Name, d.client) || strconv.FormatInt(c.ID, 10) == d.client {
			return c.ID, nil
		}
		names = append(names, c.Name)
	}
	return 0, fmt.Errorf("say --client: %s", strings.Join(names, ", "))
}
