// Command inktally measures pages, keeps the figures and writes targets.
package main

import (
	"fmt"
	"os"

	"github.com/spf13/cobra"
)

func main() {
	root := &cobra.Command{
		Use:           "inktally",
		Short:         "Measures a page against its rivals and writes the targets",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.AddCommand(measureCommand(), serveCommand(), demoCommand(), rereadCommand(), openapiCommand())
	if err := root.Execute(); err != nil {
		fmt.Fprintln(os.Stderr, "inktally:", err)
		os.Exit(1)
	}
}
