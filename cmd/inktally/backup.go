package main

import (
	"context"
	"fmt"
	"io"
	"os"
	"path/filepath"

	"inktally/core/fault"
	"inktally/internal/datafile"
	"inktally/internal/store"

	"github.com/spf13/cobra"
)

// dataFlag adds the flag of the data file.
func dataFlag(cmd *cobra.Command, data *string) {
	cmd.Flags().StringVar(data, "data", defaultData("inktally.db"), "the data file")
}

func backupCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{
		Use:   "backup FILE",
		Short: "Writes a copy of the data file, also while the program runs",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			if same(data, args[0]) {
				return BackupOverItself.New(data)
			}
			if err := datafile.Copy(cmd.Context(), data, args[0]); err != nil {
				if _, known := fault.Of(err); known {
					return err
				}
				return BackupFailed.New(data, args[0]).Because(err)
			}
			fmt.Fprintf(cmd.OutOrStdout(), "%s is a copy of %s\n", args[0], data)
			return nil
		},
	}
	dataFlag(cmd, &data)
	return cmd
}

func same(a, b string) bool {
	one, err := os.Stat(a)
	two, err2 := os.Stat(b)
	return err == nil && err2 == nil && os.SameFile(one, two)
}

func restoreCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{
		Use:   "restore FILE",
		Short: "Puts a backup in the place of the data file, which is kept beside it",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			if same(data, args[0]) {
				return BackupOverItself.New(data)
			}
			before, err := datafile.Restore(cmd.Context(), args[0], data, store.Migrations())
			if err != nil {
				return err
			}
			fmt.Fprintf(cmd.OutOrStdout(), "%s is as %s was\n", data, args[0])
			if before != "" {
				fmt.Fprintf(cmd.OutOrStdout(), "What was there before is %s\n", before)
			}
			return nil
		},
	}
	dataFlag(cmd, &data)
	return cmd
}

func checkCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{
		Use:   "check",
		Short: "Checks the data file: whether it is whole, whether each kept page can be read; ends with 1 if not",
		Args:  cobra.NoArgs,
		RunE:  func(cmd *cobra.Command, _ []string) error { return check(cmd.Context(), cmd.OutOrStdout(), data) },
	}
	dataFlag(cmd, &data)
	return cmd
}

// check looks at a copy of the file, so that the program may run meanwhile.
func check(ctx context.Context, out io.Writer, data string) error {
	if _, err := os.Stat(data); err != nil {
		return datafile.BadDataFile.New(data).Because(err)
	}
	says, err := datafile.Damage(ctx, data)
	if err != nil || says != "" {
		fmt.Fprintln(out, says)
		return datafile.DataFileDamaged.New(data).Because(err)
	}
	if says, err = datafile.Strange(ctx, data, store.Migrations()); err != nil || says != "" {
		fmt.Fprintln(out, says)
		return datafile.DataFileDamaged.New(data).Because(err)
	}
	folder, err := os.MkdirTemp("", "check-")
	if err != nil {
		return err
	}
	defer os.RemoveAll(folder)
	aside := filepath.Join(folder, "copy.db")
	if err := datafile.Copy(ctx, data, aside); err != nil {
		return datafile.DataFileDamaged.New(data).Because(err)
	}
	db, err := store.Open(ctx, aside)
	if err != nil {
		return err
	}
	defer db.Close()
	readings, damaged, err := db.Check(ctx)
	if err != nil {
		return err
	}
	for _, d := range damaged {
		fmt.Fprintf(out, "%s: the page of %s cannot be read\n", d.TakenAt.Format("2006-01-02"), d.URL)
	}
	fmt.Fprintf(out, "%d of %d kept pages can be read; the file is whole\n", readings-len(damaged), readings)
	if len(damaged) > 0 {
		return PagesDamaged.New(len(damaged))
	}
	return nil
}
