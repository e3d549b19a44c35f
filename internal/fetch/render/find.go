package render

import (
	"os"
	"os/exec"
	"path/filepath"
	"runtime"
)

// find finds Chromium where each system keeps it, empty if there is none.
func find() string {
	for _, name := range []string{"chromium", "chromium-browser"} {
		if path, err := exec.LookPath(name); err == nil {
			return path
		}
	}
	for _, path := range places(runtime.GOOS) {
		if info, err := os.Stat(path); err == nil && info.Mode().IsRegular() {
			return path
		}
	}
	return ""
}

// places returns where a system keeps programs that are on no path.
func places(system string) []string {
	home, _ := os.UserHomeDir()
	switch system {
	case "darwin":
		inside := filepath.Join("Chromium.app", "Contents", "MacOS", "Chromium")
		return []string{filepath.Join("/Applications", inside), filepath.Join(home, "Applications", inside)}
	case "windows":
		var out []string
		for _, variable := range []string{"LOCALAPPDATA", "PROGRAMFILES", "PROGRAMFILES(X86)"} {
			if base := os.Getenv(variable); base != "" {
				out = append(out, filepath.Join(base, "Chromium", "Application", "chrome.exe"))
			}
		}
		return out
	}
	return []string{"/snap/bin/chromium", "/var/lib/flatpak/exports/bin/org.chromium.Chromium",
		filepath.Join(home, ".local/share/flatpak/exports/bin/org.chromium.Chromium")}
}
