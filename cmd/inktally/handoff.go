package main

import (
	"fmt"

	"inktally/internal/app"

	"github.com/spf13/cobra"
)

// walkCommand prints what an owner is told.
func walkCommand() *cobra.Command {
	var d desk
	var format string
	cmd := &cobra.Command{
		Use:   "walk [--data FILE] [--client NAME] [--format md|json]",
		Short: "Prints the walk-through of a client: its steps with what is shown and said",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			if format != "md" && format != "json" {
				return fmt.Errorf("--format is md or json, not %q", format)
			}
			return d.with(cmd.Context(), func(a *app.App, client int64) error {
				if format == "json" {
					walk, err := a.Handoff.Walk(cmd.Context(), client)
					if err != nil {
						return err
					}
					return printJSON(cmd.OutOrStdout(), walk)
				}
				return handOut(cmd, func() (string, []byte, error) { return a.Handoff.WalkFile(cmd.Context(), client) })
			})
		},
	}
	d.flags(cmd)
	cmd.Flags().StringVar(&format, "format", "md", "md or json")
	return cmd
}

// briefCommand prints what the writer of a page needs.
func briefCommand() *cobra.Command {
	var d desk
	var page string
	cmd := &cobra.Command{
		Use:   "brief [--data FILE] [--client NAME] [--page home|URL|SERVICE]",
		Short: "Prints the brief of a page, as Markdown",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			return d.with(cmd.Context(), func(a *app.App, client int64) error {
				key, err := a.Plan.FindPage(cmd.Context(), client, page)
				if err != nil {
					return err
				}
				return handOut(cmd, func() (string, []byte, error) {
					return a.Handoff.BriefOf(cmd.Context(), client, key)
				})
			})
		},
	}
	d.flags(cmd)
	cmd.Flags().StringVar(&page, "page", "home", "the page: home, its address, or what it is for")
	return cmd
}

// handOut prints a document.
func handOut(cmd *cobra.Command, document func() (name string, body []byte, err error)) error {
	_, body, err := document()
	if err == nil {
		_, err = cmd.OutOrStdout().Write(body)
	}
	return err
}
