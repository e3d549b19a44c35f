package main

import (
	"encoding/json"
	"fmt"
	"io"
	"text/tabwriter"

	"inktally/core/results"
	"inktally/internal/app/lineups"
	"inktally/internal/fetch"
	"inktally/internal/view"

	"github.com/spf13/cobra"
)

func resultsCommand() *cobra.Command {
	var asJSON bool
	cmd := &cobra.Command{
		Use:   "results [--json] FILE|-",
		Short: "Reads a page of search results: HTML, MHTML, copied text or CSV",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			read, err := readResults(args[0], cmd.InOrStdin())
			if err != nil {
				return err
			}
			if asJSON {
				return printJSON(cmd.OutOrStdout(), view.ResultsOf(read))
			}
			if len(read.Entries) == 0 {
				return lineups.NoResults.New()
			}
			return resultsTable(cmd.OutOrStdout(), read)
		},
	}
	cmd.Flags().BoolVar(&asJSON, "json", false, "print JSON")
	return cmd
}

// readResults reads a results page out of a file, an archive or standard input.
func readResults(name string, in io.Reader) (results.Results, error) {
	var doc fetch.Document
	var err error
	if name == "-" {
		doc, err = fetch.Stream("standard input", in)
	} else {
		doc, err = fetch.File(name)
	}
	if err != nil {
		return results.Results{}, err
	}
	return lineups.ReadResults(name, doc.Body, nil)
}

func resultsTable(out io.Writer, p results.Results) error {
	w := tabwriter.NewWriter(out, 0, 0, 2, ' ', 0)
	for _, e := range p.Entries {
		position := ""
		if e.Position > 0 {
			position = fmt.Sprint(e.Position)
		}
		where := e.URL
		if where == "" {
			where = e.Domain
		}
		fmt.Fprintf(w, "%s\t%s\t%s\t%s\t%s\n", e.Part, position, e.Title, where, e.Phone)
	}
	for _, u := range p.Unread {
		fmt.Fprintf(w, "not read\t\t%s\n", u)
	}
	return w.Flush()
}

// printJSON prints what is asked for as one indented object.
func printJSON(out io.Writer, v any) error {
	enc := json.NewEncoder(out)
	enc.SetIndent("", "  ")
	return enc.Encode(v)
}
