package main

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"os"
	"slices"
	"strings"

	"inktally/internal/app"
	"inktally/internal/app/documents"
	"inktally/internal/fetch/render"

	"github.com/spf13/cobra"
)

// handout is a command that writes a document.
type handout struct {
	desk
	format, page, output, since string
}

// command returns the command that writes a document of one kind, or of another if a flag says so.
func (o *handout) command(use, short, usual string, kind func() documents.Kind, more ...string) *cobra.Command {
	var formats []string
	for _, f := range kind().Formats() {
		formats = append(formats, string(f))
	}
	formats = append(formats, more...)
	cmd := &cobra.Command{Use: use, Short: short, Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		if !slices.Contains(formats, o.format) {
			return fmt.Errorf("--format is one of %s, not %q", strings.Join(formats, ", "), o.format)
		}
		if o.output == "" && (o.format == string(documents.DOCX) || o.format == string(documents.PDF)) {
			return fmt.Errorf("%s is no text for a terminal: name a file with --output", o.format)
		}
		return o.with(cmd.Context(), func(a *app.App, client int64) error { return o.write(cmd, a, client, kind()) })
	}}
	o.flags(cmd)
	cmd.Flags().StringVar(&o.format, "format", usual, strings.Join(formats, ", "))
	cmd.Flags().StringVarP(&o.output, "output", "o", "", "the file to write; docx and pdf need one")
	return cmd
}

// write writes a document to the file that is named, else to the standard output.
func (o *handout) write(cmd *cobra.Command, a *app.App, client int64, kind documents.Kind) error {
	body, err := o.made(cmd.Context(), a, client, kind)
	if err != nil {
		return err
	}
	if o.output != "" {
		return os.WriteFile(o.output, body, 0o600)
	}
	_, err = cmd.OutOrStdout().Write(body)
	return err
}

// made returns a document in the format that is asked for.
func (o *handout) made(ctx context.Context, a *app.App, client int64, kind documents.Kind) ([]byte, error) {
	if o.format == asJSON {
		walk, err := a.Handoff.Walk(ctx, client)
		if err != nil {
			return nil, err
		}
		var out bytes.Buffer
		err = printJSON(&out, walk)
		return out.Bytes(), err
	}
	ask := documents.Ask{Client: client, Kind: kind, Format: documents.Format(o.format), Since: o.since}
	if kind.OfPage() {
		key, err := a.Plan.FindPage(ctx, client, o.page)
		if err != nil {
			return nil, err
		}
		ask.Page = key
	}
	if ask.Format == documents.PDF {
		browser := render.New(render.Options{})
		defer browser.Close()
		a.Handoff.Printer = browser
	}
	file, err := a.Handoff.File(ctx, ask)
	if err != nil {
		return nil, err
	}
	return file.Body, nil
}

// asJSON is the format of the walk-through with all that its screen has.
const asJSON = "json"

// walkCommand prints what an owner is told.
func walkCommand() *cobra.Command {
	var o handout
	cmd := o.command("walk [--data FILE] [--client NAME] [--format FORMAT]",
		"Prints the walk-through of a client: its steps with what is shown and said", "md",
		func() documents.Kind { return documents.WalkThrough }, asJSON)
	return cmd
}

// planCommand prints the owner's plan.
func planCommand() *cobra.Command {
	var o handout
	var short bool
	cmd := o.command("plan [--data FILE] [--client NAME] [--format FORMAT] [--one-page]",
		"Prints the plan of a client as its owner needs it", "md", func() documents.Kind {
			if short {
				return documents.OnePage
			}
			return documents.OwnersPlan
		})
	cmd.Flags().BoolVar(&short, "one-page", false, "on one page: the first jobs that fit")
	return cmd
}

// briefCommand prints what the writer of a page needs.
func briefCommand() *cobra.Command {
	var o handout
	cmd := o.command("brief [--data FILE] [--client NAME] [--page home|URL|SERVICE|all] [--format FORMAT]",
		"Prints the brief of a page, or of all", "md", func() documents.Kind {
			if o.page == "all" {
				return documents.AllBriefs
			}
			return documents.OneBrief
		})
	cmd.Flags().StringVar(&o.page, "page", "home", "the page: home, its address, what it is for; or all")
	return cmd
}

// accountCommand prints what was done and what moved since a day.
func accountCommand() *cobra.Command {
	var o handout
	cmd := o.command("account [--data FILE] [--client NAME] [--since DAY] [--format FORMAT]",
		"Prints what was done and what moved since a day, and what is next", "md",
		func() documents.Kind { return documents.Account })
	cmd.Flags().StringVar(&o.since, "since", "", "the day, such as 2026-11-26; 30 days ago by itself")
	return cmd
}

// pencilledCommand prints a page as a proof-reader's copy.
func pencilledCommand() *cobra.Command {
	var o handout
	cmd := o.command("pencilled [--data FILE] [--client NAME] [--page home|URL|SERVICE] [--format FORMAT]",
		"Prints a page with what goes and what comes, as a proof-reader would mark it", "html",
		func() documents.Kind { return documents.Pencilled })
	cmd.Flags().StringVar(&o.page, "page", "home", "the page: home, its address, or what it is for")
	return cmd
}

// workbookCommand writes all figures of a client with their evidence.
func workbookCommand() *cobra.Command {
	var d desk
	var output string
	cmd := &cobra.Command{Use: "workbook [--data FILE] [--client NAME] --output FILE",
		Short: "Writes all figures of a client with their evidence as XLSX", Args: cobra.NoArgs}
	cmd.RunE = func(cmd *cobra.Command, _ []string) error {
		if output == "" {
			return errors.New("xlsx is no text for a terminal: name a file with --output")
		}
		return d.with(cmd.Context(), func(a *app.App, client int64) error {
			body, _, err := a.Workbook.File(cmd.Context(), client)
			if err != nil {
				return err
			}
			return os.WriteFile(output, body, 0o600)
		})
	}
	d.flags(cmd)
	cmd.Flags().StringVarP(&output, "output", "o", "", "the file to write")
	return cmd
}
