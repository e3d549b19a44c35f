package tempfiles

import "runtime"

// variable names the folder for temporary files to a program.
var variable = map[bool]string{true: "TMP", false: "TMPDIR"}[runtime.GOOS == "windows"]
