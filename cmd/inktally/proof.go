package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"

	"inktally/internal/draft"
	"inktally/internal/fetch"
	"inktally/internal/view"
	"inktally/internal/wording"

	"github.com/spf13/cobra"
)

// errShort ends the command with 1: the draft lacks something.
var errShort = errors.New("the draft is short of its page's targets")

func proofCommand() *cobra.Command {
	var p proving
	cmd := &cobra.Command{
		Use: "proof [--data FILE] [--client NAME] [--page home|URL|SERVICE] [--json] DRAFT|-",
		Short: "Measures a draft (text, Markdown, HTML, DOCX) against the targets of its page; ends with 1 if it is " +
			"short",
		Args: cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			out, err := p.run(cmd.Context(), args[0], cmd.InOrStdin())
			if err != nil {
				return err
			}
			if p.asJSON {
				err = printJSON(cmd.OutOrStdout(), out)
			} else {
				err = printProof(cmd.OutOrStdout(), out)
			}
			if err == nil && out.Short {
				err = errShort
			}
			return err
		},
	}
	p.flags(cmd)
	cmd.Flags().StringVar(&p.page, "page", "home", "the page: home, its address, or what it is for")
	cmd.Flags().BoolVar(&p.asJSON, "json", false, "print JSON")
	return cmd
}

// proving is what is asked of a draft.
type proving struct {
	desk
	page   string
	asJSON bool
}

func (p proving) run(ctx context.Context, from string, in io.Reader) (*view.Proof, error) {
	raw, name, err := draftFrom(from, in)
	if err != nil {
		return nil, err
	}
	a, client, end, err := p.open(ctx)
	if err != nil {
		return nil, err
	}
	defer end()
	page, err := a.Plan.FindPage(ctx, client, p.page)
	if err != nil {
		return nil, err
	}
	return a.Plan.Proof(ctx, client, page, name, raw)
}

// draftFrom reads a draft, that of standard input for -.
func draftFrom(from string, in io.Reader) (raw []byte, name string, err error) {
	if from != "-" {
		file, err := os.Open(from)
		if err != nil {
			return nil, "", fetch.FileUnreadable.New(from).Because(err)
		}
		defer file.Close()
		in, name = file, filepath.Base(from)
	}
	raw, err = io.ReadAll(io.LimitReader(in, draft.MaxBytes+1))
	if err != nil {
		err = fetch.FileUnreadable.New(from).Because(err)
	}
	return raw, name, err
}

func printProof(out io.Writer, p *view.Proof) error {
	var b strings.Builder
	fmt.Fprintf(&b, "%s of %s words, %s\n", wording.Number(p.Copy), wording.Number(p.Wanted), left(p.Left))
	if p.Menu {
		b.WriteString("The draft holds menus and links only.\n")
	}
	if p.Language != "" {
		fmt.Fprintf(&b, "The draft is in another language: %s\n", p.Language)
	}
	for _, s := range p.Sections {
		if s.Left > 0 {
			fmt.Fprintf(&b, "  %s: %s to write\n", s.Heading, wording.Count(s.Left, "word", ""))
		}
	}
	for _, list := range []struct {
		title string
		lines []view.ProofLine
	}{{"missing", p.Missing}, {"too often", p.Over}, {"met", p.Met}} {
		for _, l := range list.lines {
			fmt.Fprintf(&b, "%s: %s: %s\n", list.title, l.Name, l.Says)
		}
	}
	for _, w := range p.Wrong {
		fmt.Fprintf(&b, "wrong: %s\n", w)
	}
	_, err := io.WriteString(out, b.String())
	return err
}

func left(words int) string {
	if words == 0 {
		return "enough"
	}
	return wording.Count(words, "word", "") + " left to write"
}
