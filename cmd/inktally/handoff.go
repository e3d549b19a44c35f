package main

import (
	"fmt"

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
			a, client, end, err := d.open(cmd.Context())
			if err != nil {
				return err
			}
			defer end()
			switch format {
			case "json":
				walk, err := a.Handoff.Walk(cmd.Context(), client)
				if err != nil {
					return err
				}
				return printJSON(cmd.OutOrStdout(), walk)
			case "md":
				_, markdown, err := a.Handoff.WalkFile(cmd.Context(), client)
				if err != nil {
					return err
				}
				_, err = cmd.OutOrStdout().Write(markdown)
				return err
			}
			return fmt.Errorf("--format is md or json, not %q", format)
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
			a, client, end, err := d.open(cmd.Context())
			if err != nil {
				return err
			}
			defer end()
			key, err := a.Plan.FindPage(cmd.Context(), client, page)
			if err != nil {
				return err
			}
			_, markdown, err := a.Handoff.BriefOf(cmd.Context(), client, key)
			if err != nil {
				return err
			}
			_, err = cmd.OutOrStdout().Write(markdown)
			return err
		},
	}
	d.flags(cmd)
	cmd.Flags().StringVar(&page, "page", "home", "the page: home, its address, or what it is for")
	return cmd
}
