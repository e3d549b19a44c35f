package backlink

import (
	"net/url"
	"regexp"
	"slices"
	"strings"

	"inktally/core/text"
)

// kindOf returns what a domain is, first that holds (rule 13.2): an association or town before its member page.
func kindOf(domain string, r Row, s *said, w *words, g Ground) Kind {
	written := writtenOn(s.folders)
	switch {
	case isAssociation(domain, r.Title, s, written):
		return Association
	case isProfile(s.folders):
		return Profile
	case written || isArticle(r, s, g):
		return Article
	case !isForum(s.folders) && w.neighbor(s) != "":
		return Neighbor
	}
	return Other
}

// foldersOf returns the parts of an address's path, in lower case.
func foldersOf(address string) []string {
	u, err := url.Parse(address)
	if err != nil {
		return nil
	}
	return strings.FieldsFunc(strings.ToLower(u.Path), func(r rune) bool { return r == '/' })
}

// isAssociation reports whether a domain is one of people who belong together: by a word of its name, or of the title
// of a page that is no article.
func isAssociation(domain, title string, s *said, written bool) bool {
	if wordIn(s, associations) != "" || strings.HasSuffix(domain, ".gov") || strings.HasSuffix(domain, ".edu") {
		return true
	}
	return !written && slices.ContainsFunc(text.Tokens(title), associations.has)
}

// label returns a domain without its ending.
func label(domain string) string {
	label, _, _ := strings.Cut(domain, ".")
	return label
}

// isProfile reports whether a whole folder of the path says that what follows is somebody's own.
func isProfile(folders []string) bool {
	for _, f := range folders[:max(0, len(folders)-1)] {
		if profileFolders[f] {
			return true
		}
	}
	return false
}

var (
	yearFolder = regexp.MustCompile(`^(?:19|20)\d\d$`)
	monthIn    = regexp.MustCompile(`^(?:0?[1-9]|1[0-2])$`)
	asks       = regexp.MustCompile(
		`(?i)^(?:how|why|what|when|where|wie|warum|was|wann|wo|comment|pourquoi|quand|cómo|` +
			`por qué|cuándo|come|perché|hoe|waarom)\s`)
)

// writtenOn reports whether a path says that its page was written on a day, or stands in a folder of articles.
func writtenOn(folders []string) bool {
	for i, f := range folders {
		if articleFolders[f] && i < len(folders)-1 {
			return true
		}
		if yearFolder.MatchString(f) && i+1 < len(folders)-1 && monthIn.MatchString(folders[i+1]) {
			return true
		}
	}
	return false
}

// isForum reports whether a path is that of a talk of many.
func isForum(folders []string) bool {
	return slices.ContainsFunc(folders, func(f string) bool { return forumFolders[f] })
}

const wordsOfQuestion = 4

// isArticle reports whether a page is one that somebody wrote, by what it is called.
func isArticle(r Row, s *said, g Ground) bool {
	if isForum(s.folders) {
		return false
	}
	if g.Ranks != nil && g.Ranks(r.Title, r.Page) {
		return true
	}
	if asks.MatchString(r.Title) && text.Words(r.Title) >= wordsOfQuestion {
		return true
	}
	slug := ""
	if len(s.folders) > 0 {
		slug = s.folders[len(s.folders)-1]
	}
	return strings.Count(slug, "-") >= 2 && slices.ContainsFunc(press, func(word string) bool {
		return strings.Contains(s.label, word)
	})
}

// wordIn returns the word of a list that the name of a site holds, parted by hyphens, or run together with others if it
// is long enough; empty for none.
func wordIn(s *said, list wordList) string {
	for _, part := range strings.Split(s.label, "-") {
		if list.has(part) {
			return part
		}
	}
	if i := slices.IndexFunc(list.long, func(word string) bool { return strings.Contains(s.joined, word) }); i >= 0 {
		return list.long[i]
	}
	return ""
}
