package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net"
	"os"
	"path/filepath"
	"time"

	"inktally/internal/app"
	"inktally/internal/datafile"
	"inktally/internal/demo"
	"inktally/internal/practice"
	"inktally/internal/server"
	"inktally/internal/server/gate"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/wording"

	"github.com/spf13/cobra"
)

// instance is where the program listens and keeps its data.
type instance struct {
	address, data, search, demand string
	figures                       []string
	hosts                         []string
	backups                       int
	open                          bool // shows itself in the user's browser
	newToken                      bool
	web                           webFlags
}

func serveCommand() *cobra.Command {
	var s instance
	cmd := &cobra.Command{
		Use:   "serve",
		Short: "Starts the program",
		Args:  cobra.NoArgs,
		RunE:  func(cmd *cobra.Command, _ []string) error { return s.serve(cmd) },
	}
	s.flags(cmd, defaultData("inktally.db"))
	cmd.Flags().StringVar(&s.search, "search-url", "", "a search source (docs/contracts/search.md)")
	cmd.Flags().StringVar(&s.demand, "demand-url", "", "a source of search volumes (docs/contracts/demand.md)")
	cmd.Flags().StringArrayVar(&s.figures, "figures-url", nil,
		"a source of links, listings and map profiles (docs/contracts/standing.md); may be given more than once")
	return cmd
}

// serve serves the web as it is.
func (s *instance) serve(cmd *cobra.Command) error {
	web, err := s.web.fetcher(cmd.OutOrStdout())
	if err != nil {
		return err
	}
	pages := s.web.browser(web)
	defer pages.Close()
	o := app.Options{Web: web, Renderer: pages, Printer: pages}
	if s.search != "" {
		o.Search = source.Search{URL: s.search}
	}
	if s.demand != "" {
		o.Demand = source.Demand{URL: s.demand}
	}
	for _, u := range s.figures {
		o.Figures = append(o.Figures, source.Figures{URL: u})
	}
	return s.run(cmd.Context(), cmd.OutOrStdout(), o, nil)
}

// serveAndShow is what a start without any command does.
func serveAndShow(cmd *cobra.Command) error {
	s := instance{address: usualAddress, data: defaultData("inktally.db"), backups: 7, open: true}
	return s.serve(cmd)
}

// usualAddress is where the program listens if nobody says.
const usualAddress = "127.0.0.1:8017"

func demoCommand() *cobra.Command {
	var s instance
	cmd := &cobra.Command{
		Use:   "demo",
		Short: "Starts the program with made-up clients and a practice web",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			web, err := practice.Start()
			if err != nil {
				return err
			}
			defer web.Close()
			fetcher := web.Fetcher()
			pages := s.web.browser(fetcher)
			defer pages.Close()
			o := app.Options{Web: fetcher, Renderer: pages, Printer: pages, Search: source.Search{URL: web.SearchURL()},
				Demand: source.Demand{URL: web.DemandURL()}, Figures: web.Figures()}
			return s.run(cmd.Context(), cmd.OutOrStdout(), o, demo.Seed)
		},
	}
	s.flags(cmd, filepath.Join("data", "demo.db"))
	return cmd
}

func (s *instance) flags(cmd *cobra.Command, file string) {
	cmd.Flags().StringVar(&s.address, "listen", usualAddress, "where to listen")
	cmd.Flags().StringArrayVar(&s.hosts, "host", nil,
		"a name that the program answers to beside localhost; may be given more than once")
	cmd.Flags().BoolVar(&s.newToken, "new-token", false,
		"make a new token; whoever signed in with the old one must sign in again")
	s.web.flags(cmd)
	cmd.Flags().StringVar(&s.data, "data", file, "the data file")
	cmd.Flags().IntVar(&s.backups, "keep-backups", 7,
		"how many of the backups that are made by themselves, one a day, are kept")
}

// run serves until it is interrupted. seed fills a new store.
func (s *instance) run(ctx context.Context, out io.Writer, o app.Options,
	seed func(context.Context, *app.App) error) error {
	serving.Store(true)
	listener, err := net.Listen("tcp", s.address) // before anything is written
	if err != nil {
		return PortTaken.New(s.address).Because(err)
	}
	defer listener.Close()
	if err := os.MkdirAll(filepath.Dir(s.data), 0o700); err != nil {
		return datafile.BadDataFile.New(s.data).Because(err)
	}
	db, err := store.Open(ctx, s.data)
	if err != nil {
		return err
	}
	defer db.Close()
	o.DB, o.Log = db, slog.New(slog.NewTextHandler(os.Stderr, nil))
	if db.Short() {
		o.Log.Warn(wording.Fault(datafile.DiskShort.New()))
	}
	a, err := app.New(ctx, o)
	if err != nil {
		return err
	}
	defer a.Close()
	if seed != nil {
		if err := seed(ctx, a); err != nil {
			return err
		}
	}
	sum, token, err := s.token(ctx, db)
	if err != nil {
		return err
	}
	web := gate.Server(server.New(a, o.Log, server.Options{Hosts: s.hosts, Token: sum}))
	web.BaseContext = func(net.Listener) context.Context { return ctx }
	fmt.Fprintf(out, "Ink Tally is at http://%s\n", listener.Addr())
	if token != "" {
		fmt.Fprintf(out, "Other machines can reach it. Sign in once with this token; it is not shown again: %s\n",
			token)
	}
	fmt.Fprintln(out, "Press Ctrl-C to end it.")
	go s.backUp(ctx, db, o.Log)
	if s.open {
		openBrowser("http://" + listener.Addr().String())
	}
	failed := make(chan error, 1)
	go func() { failed <- web.Serve(listener) }()
	select {
	case err := <-failed:
		return err
	case <-ctx.Done():
	}
	closing, cancel := context.WithTimeout(context.Background(), 5*time.Second)
	defer cancel()
	if err := web.Shutdown(closing); err != nil && !errors.Is(err, context.DeadlineExceeded) {
		return err
	}
	return nil
}

// backUp makes a backup a day as long as the program runs.
func (s *instance) backUp(ctx context.Context, db *store.DB, log *slog.Logger) {
	tick := time.NewTicker(time.Hour)
	defer tick.Stop()
	for writes := int64(-1); ; {
		if now := db.Writes(); now != writes { // a day without use needs none
			if err := datafile.BackUp(ctx, s.data, time.Now(), s.backups); err != nil && ctx.Err() == nil {
				log.Error("no backup could be made", "error", err)
			} else {
				writes = now
			}
		}
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}
