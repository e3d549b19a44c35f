package main

import (
	"context"
	"fmt"
	"io"
	"text/tabwriter"

	"inktally/internal/app"
	"inktally/internal/store"

	"github.com/spf13/cobra"
)

func rereadCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{
		Use:   "reread",
		Short: "Applies today's rules to kept pages and shows what changed",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			return reread(cmd.Context(), cmd.OutOrStdout(), data)
		},
	}
	dataFlag(cmd, &data)
	return cmd
}

func reread(ctx context.Context, out io.Writer, data string) error {
	if ctx == nil {
		ctx = context.Background()
	}
	db, err := store.Open(ctx, data)
	if err != nil {
		return err
	}
	defer db.Close()
	a, err := app.New(ctx, app.Options{DB: db})
	if err != nil {
		return err
	}
	defer a.Close()
	changed, read, err := a.Readings.Reread(ctx)
	if err != nil {
		return err
	}
	w := tabwriter.NewWriter(out, 0, 4, 2, ' ', 0)
	for _, c := range changed {
		fmt.Fprintf(w, "%s\t%s\tseen %d -> %d\tcopy %d -> %d\thidden %d -> %d\n", c.Client, c.URL,
			c.Before.Seen, c.Now.Seen, c.Before.Copy, c.Now.Copy, c.Before.Hidden, c.Now.Hidden)
	}
	fmt.Fprintf(w, "%d of %d kept pages have other words by today's rules\n", len(changed), read)
	return w.Flush()
}
