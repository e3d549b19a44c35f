package main

import (
	"fmt"
	"runtime"
	"runtime/debug"

	"github.com/spf13/cobra"
)

// version is that of a release; it is set when one is built.
var version = ""

func versionCommand() *cobra.Command {
	return &cobra.Command{
		Use:   "version",
		Short: "Tells which version this is",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			_, err := fmt.Fprintf(cmd.OutOrStdout(), "inktally %s %s/%s\n", versionOf(), runtime.GOOS, runtime.GOARCH)
			return err
		},
	}
}

// versionOf returns the version of a release, else the commit that the program was built from.
func versionOf() string {
	if version != "" {
		return version
	}
	if info, ok := debug.ReadBuildInfo(); ok {
		for _, s := range info.Settings {
			if s.Key == "vcs.revision" {
				return "built from " + s.Value[:min(len(s.Value), 12)]
			}
		}
	}
	return "of unknown make"
}
