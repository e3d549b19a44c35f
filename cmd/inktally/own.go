package main

import (
	"os"
	"os/exec"
	"path/filepath"
	"runtime"
)

// defaultData returns where the data file is if nobody says: in the folder data where the program
// is started, if it is there, else in the user's own folder.
func defaultData(file string) string {
	here := filepath.Join("data", file)
	if _, err := os.Stat(here); err == nil {
		return here
	}
	own, err := os.UserConfigDir()
	if err != nil {
		return here
	}
	return filepath.Join(own, "inktally", file)
}

// openBrowser shows an address in the user's browser, as each system does it.
func openBrowser(address string) {
	name, args := "xdg-open", []string{address}
	switch runtime.GOOS {
	case "darwin":
		name = "open"
	case "windows":
		name, args = "rundll32", []string{"url.dll,FileProtocolHandler", address}
	}
	cmd := exec.Command(name, args...)
	if cmd.Start() == nil {
		go func() { _ = cmd.Wait() }()
	}
}
