// Command inktally measures pages, keeps the figures and writes targets.
package main

import (
	"fmt"
	"os"

	"inktally/core/fault"
	"inktally/internal/wording"

	"github.com/spf13/cobra"
)

func main() {
	root := &cobra.Command{
		Use:           "inktally",
		Short:         "Measures a page against its rivals and writes the targets",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.AddCommand(measureCommand(), resultsCommand(), surveyCommand(), serveCommand(), demoCommand(), rereadCommand(), proofCommand(), openapiCommand())
	if err := root.Execute(); err != nil {
		fmt.Fprintln(os.Stderr, "inktally:", says(err))
		os.Exit(1)
	}
}

// says words an error for the person at the command line: a failure by its
// sentence, a mistake in what was typed as it is.
func says(err error) string {
	if f, ok := fault.Of(err); ok {
		return wording.Fault(f)
	}
	return err.Error()
}
