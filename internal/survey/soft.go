package survey

import (
	"strings"

	"inktally/core/page"
)

// softWords is how many copy words a page has at most that says that there is none.
const softWords = 150

// gone are the words by which a page says that it is none (rule 11).
var gone = []string{"page not found", "not be found", "could not find", "couldn't find", "cannot be found",
	"no longer exists",
	"no longer here", "does not exist", "doesn't exist", "nothing was found", "error 404", "404 not found",
	"page introuvable",
	"n'existe pas", "n’existe plus", "seite nicht gefunden", "wurde nicht gefunden", "existiert nicht",
	"página no encontrada", "no se ha encontrado", "no existe", "pagina non trovata", "niet gevonden", "bestaat niet"}

// notFound reports whether a page says in words that it is none: in its title, its h1 or a short text.
func notFound(p *page.Page) bool {
	if p.Words.Copy > softWords {
		return false
	}
	said := strings.ToLower(strings.Join([]string{p.Title, p.H1()}, " ")) + " "
	for i := range p.Blocks {
		if b := &p.Blocks[i]; b.Copy() {
			said += strings.ToLower(p.Text(i)) + " "
		}
	}
	for _, words := range gone {
		if strings.Contains(said, words) {
			return true
		}
	}
	return false
}
