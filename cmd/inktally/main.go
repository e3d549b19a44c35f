// Command inktally measures pages, keeps the figures and writes targets.
package main

import (
	"context"
	"fmt"
	"os"
	"os/signal"
	"sync/atomic"
	"syscall"

	"inktally/core/fault"
	"inktally/internal/memory"
	"inktally/internal/tempfiles"
	"inktally/internal/wording"

	"github.com/spf13/cobra"
)

func main() { os.Exit(command()) }

// interrupted is how a command ends that somebody has interrupted.
const interrupted = 130

// command runs a command. An interrupt ends it at once, whatever it waits for - standard input, a
// pipe, a slow site -, unless it serves: then it ends by itself, and at once when it is
// interrupted again.
func command() int {
	memory.Spare()
	if end, err := tempfiles.Open(); err == nil { // without it temporary files land where all do
		defer end()
	}
	ctx, cancel := context.WithCancel(context.Background())
	defer cancel()
	signals := make(chan os.Signal, 2)
	signal.Notify(signals, os.Interrupt, syscall.SIGTERM)
	done := make(chan error, 1)
	screen := &terminal{to: os.Stderr}
	go func() {
		cmd := root()
		cmd.SetOut(&terminal{to: os.Stdout})
		cmd.SetErr(screen)
		done <- cmd.ExecuteContext(ctx)
	}()
	for {
		select {
		case err := <-done:
			if err == nil {
				return 0
			}
			if ctx.Err() != nil {
				return interrupted
			}
			fmt.Fprintln(screen, "inktally:", sentence(err))
			return 1
		case <-signals:
			if ctx.Err() != nil || !serving.Load() {
				return interrupted
			}
			cancel()
		}
	}
}

// serving reports whether the program has something to end in order.
var serving atomic.Bool

// root returns the program; without a command it serves, and shows itself.
func root() *cobra.Command {
	root := &cobra.Command{
		Use:           "inktally",
		Args:          cobra.NoArgs,
		RunE:          func(cmd *cobra.Command, _ []string) error { return serveAndShow(cmd) },
		Short:         "Measures a page against its rivals and writes the targets",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.AddCommand(measureCommand(), resultsCommand(), surveyCommand(), serveCommand(), demoCommand(), rereadCommand(),
		proofCommand(), standingCommand(), walkCommand(), planCommand(), briefCommand(), pencilledCommand(),
		workbookCommand(), accountCommand(),
		backupCommand(),
		restoreCommand(), checkCommand(), versionCommand(), openapiCommand())
	return root
}

// sentence words an error for the person at the command line: a failure by its
// sentence, a mistake in what was typed as it is.
func sentence(err error) string {
	if f, ok := fault.Of(err); ok {
		return wording.Fault(f)
	}
	return err.Error()
}
