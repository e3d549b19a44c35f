package lineup

import "inktally/core/finding"

// Directories returns the directories that hold a high organic place of a search for a phrase (rules 6.4, 11): being
// listed there is worth the while.
func Directories(phrase string, entries []Entry) (out []finding.Finding) {
	for _, e := range entries {
		if e.Kind == Directory && Open(e) && e.URL != "" {
			out = append(out, finding.Finding{Type: finding.DirectoryAhead, URL: "https://" + Domain(e.URL) + "/",
				Label: NameOf(e.Name, e.URL), Position: e.Position, Texts: []string{phrase}})
		}
	}
	return out
}
