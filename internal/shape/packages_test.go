package shape

import (
	"bytes"
	"encoding/json"
	"go/parser"
	"go/scanner"
	"go/token"
	"io/fs"
	"maps"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const (
	module       = "inktally/"
	mostLines    = 400
	mostInFolder = 2200
)

// larger are the packages that may hold more lines, with how many: the targets
// of a page are made by one builder.
var larger = map[string]int{"core/plan": 2520}

// source is a Go file that is no test.
type source struct {
	lines   int
	imports []string // of this module
}

// packages returns the Go files of each folder.
func packages(t *testing.T) map[string]map[string]source {
	out := map[string]map[string]source{}
	for _, top := range []string{"core", "internal", "cmd"} {
		err := filepath.WalkDir(filepath.Join(root, top), func(path string, _ fs.DirEntry, err error) error {
			if err != nil || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
				return err
			}
			raw, err := os.ReadFile(path)
			if err != nil {
				return err
			}
			parsed, err := parser.ParseFile(token.NewFileSet(), path, raw, parser.ImportsOnly)
			if err != nil {
				return err
			}
			s := source{lines: strings.Count(string(raw), "\n")}
			for _, i := range parsed.Imports {
				name, err := strconv.Unquote(i.Path.Value)
				if err != nil {
					return err
				}
				if of, ours := strings.CutPrefix(name, module); ours {
					s.imports = append(s.imports, of)
				}
			}
			folder, err := filepath.Rel(root, filepath.Dir(path))
			if out[folder] == nil {
				out[folder] = map[string]source{}
			}
			out[folder][filepath.Base(path)] = s
			return err
		})
		require.NoError(t, err)
	}
	return out
}

// Packages import what the map says, and core nothing but core.
func TestArrows(t *testing.T) {
	raw, err := os.ReadFile(filepath.Join(root, "docs/decisions/013-packages.md"))
	require.NoError(t, err)
	_, list, found := strings.Cut(string(raw), "```imports\n")
	require.True(t, found)
	list, _, _ = strings.Cut(list, "```")
	listed := map[string][]string{}
	for _, line := range strings.Split(strings.TrimSpace(list), "\n") {
		name, imports, ok := strings.Cut(line, ":")
		require.True(t, ok, line)
		listed[name] = strings.Fields(imports)
	}
	for folder, files := range packages(t) {
		t.Run(folder, func(t *testing.T) {
			imports := map[string]bool{}
			for _, f := range files {
				for _, i := range f.imports {
					imports[i] = true
				}
			}
			does := slices.Sorted(maps.Keys(imports))
			assert.ElementsMatch(t, listed[folder], does, "docs/decisions/013-packages.md tells otherwise")
			if strings.HasPrefix(folder, "core/") {
				for _, i := range does {
					assert.True(t, strings.HasPrefix(i, "core/"), "core imports %s", i)
				}
			}
		})
		delete(listed, folder)
	}
	assert.Empty(t, listed, "packages that are not there")
}

// No file and no package grows too large to be read.
func TestSizes(t *testing.T) {
	for folder, files := range packages(t) {
		all := 0
		for name, f := range files {
			assert.LessOrEqual(t, f.lines, mostLines, "%s/%s", folder, name)
			all += f.lines
		}
		most := mostInFolder
		if n, ok := larger[folder]; ok {
			most = n
		}
		assert.LessOrEqual(t, all, most, folder)
	}
}

// No line is longer than 120 characters, a tab counted as four. Raw strings are left out: the
// tags of fields, patterns, and what is HTML, SQL or a script.
func TestLines(t *testing.T) {
	const most = 120
	for _, top := range []string{"core", "internal", "cmd", "e2e", "bench"} {
		err := filepath.WalkDir(filepath.Join(root, top), func(path string, _ fs.DirEntry, err error) error {
			if err != nil || filepath.Ext(path) != ".go" {
				return err
			}
			source, err := os.ReadFile(path)
			if err != nil {
				return err
			}
			for i, line := range strings.Split(withoutRawStrings(source), "\n") {
				width := utf8.RuneCountInString(strings.ReplaceAll(line, "\t", "    "))
				assert.LessOrEqual(t, width, most, "%s:%d", path, i+1)
			}
			return nil
		})
		require.NoError(t, err)
	}
}

// withoutRawStrings returns the source with its raw strings empty, each on as many lines as before.
func withoutRawStrings(source []byte) string {
	var out strings.Builder
	var s scanner.Scanner
	file := token.NewFileSet().AddFile("", -1, len(source))
	s.Init(file, source, nil, scanner.ScanComments)
	at := 0
	for {
		pos, kind, text := s.Scan()
		if kind == token.EOF {
			break
		}
		if kind == token.STRING && text[0] == '`' {
			from := file.Offset(pos)
			out.Write(source[at:from])
			at = from + 2 + bytes.IndexByte(source[from+1:], '`')
			out.WriteString(strings.Repeat("\n", strings.Count(text, "\n")))
		}
	}
	out.Write(source[at:])
	return out.String()
}

// go.mod names as its own exactly the modules that some file imports.
func TestModules(t *testing.T) {
	described, err := exec.Command("go", "mod", "edit", "-json", filepath.Join(root, "go.mod")).Output()
	require.NoError(t, err)
	var mod struct {
		Require []struct {
			Path     string
			Indirect bool
		}
	}
	require.NoError(t, json.Unmarshal(described, &mod))
	imports := allImports(t)
	for _, m := range mod.Require {
		of := func(i string) bool { return i == m.Path || strings.HasPrefix(i, m.Path+"/") }
		used := slices.ContainsFunc(slices.Collect(maps.Keys(imports)), of)
		assert.Equal(t, used, !m.Indirect, "%s", m.Path)
	}
}

// allImports returns the packages that any Go file of the repository imports.
func allImports(t *testing.T) map[string]bool {
	out := map[string]bool{}
	for _, top := range []string{"core", "internal", "cmd", "e2e", "bench"} {
		err := filepath.WalkDir(filepath.Join(root, top), func(path string, _ fs.DirEntry, err error) error {
			if err != nil || filepath.Ext(path) != ".go" {
				return err
			}
			parsed, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.ImportsOnly)
			if err != nil {
				return err
			}
			for _, i := range parsed.Imports {
				out[strings.Trim(i.Path.Value, `"`)] = true
			}
			return nil
		})
		require.NoError(t, err)
	}
	return out
}

// A use case's package is not called what a package of the rules is: whoever reads a name knows
// which of them it is.
func TestNamesOfPackages(t *testing.T) {
	all := packages(t)
	for folder := range all {
		if name, ok := strings.CutPrefix(folder, "internal/app/"); ok {
			assert.NotContains(t, all, "core/"+name)
		}
	}
}
