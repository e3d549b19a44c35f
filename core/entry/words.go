package entry

import (
	"regexp"
	"slices"
	"strings"

	"inktally/core/text"
)

// adLabels are what stands beside what is paid for, folded.
var adLabels = set(
	`ad;ads;sponsored;sponsored result;sponsored results;sponsored link;sponsored links;advertisement;
advertisements;promoted;paid;anzeige;anzeigen;gesponsert;gesponserte ergebnisse;werbung;annonce;
annonces;sponsorise;sponsorisee;sponsorises;resultat sponsorise;resultats sponsorises;commandite;
publicite;lien sponsorise;anuncio;anuncios;patrocinado;patrocinados;publicidad;resultado patrocinado;
resultados patrocinados;annuncio;annunci;sponsorizzato;sponsorizzati;pubblicita;gesponsord;advertentie;
advertenties;publicidade;reklama;sponsrad;annons;sponset;annonse;mainos`)

// pluralAds are labels for what is paid for that stand over several entries.
var pluralAds = set(`ads;sponsors;sponsored results;sponsored links;sponsored listings;advertisements;paid results;
anzeigen;gesponserte ergebnisse;annonces;liens sponsorises;resultats sponsorises;anuncios;
resultados patrocinados;annunci;risultati sponsorizzati;advertenties;gesponsorde resultaten`)

// SeveralAds reports whether a label stands over several entries.
func SeveralAds(label string) bool { return pluralAds[Fold(label)] }

// generic are the texts of links that name no title.
var generic = set(
	`website;web site;visit site;visit website;site;homepage;directions;route;get directions;call;call now;
book;book online;book now;menu;order;order online;share;save;more;more info;learn more;read more;
see more;details;prices;pricing;reviews;photos;contact;contact us;saved copy;cached;similar;
translate this page;webseite;webauftritt;routenplaner;anrufen;termin;mehr;kontakt;bewertungen;site web;
itineraire;appeler;appel;plus;avis;reserver;sitio web;sitio;pagina web;como llegar;indicaciones;llamar;
mas;sito;sito web;indicazioni;chiama;website bezoeken;routebeschrijving;bellen`)

// IsOther reports whether a heading is that of what stands on a page of results and is none.
func IsOther(heading string) bool { return otherSections[Fold(heading)] }

// otherSections are the headings of what stands on a page of results and is none.
var otherSections = set(
	`people also ask;people also search for;related questions;related searches;searches related;questions;
videos;short videos;images;pictures;news;top stories;in the news;shopping;products;discussions;
discussions and forums;jobs;weitere fragen;nutzer fragen auch;ahnliche fragen;ahnliche suchanfragen;
verwandte suchanfragen;bilder;schlagzeilen;autres questions;autres questions posees;
questions frequentes;recherches associees;recherches similaires;videos associees;a la une;actualites;
otras preguntas;mas preguntas;preguntas relacionadas;busquedas relacionadas;imagenes;noticias;
altre domande;ricerche correlate;immagini;notizie`)

func set(words string) map[string]bool {
	out := map[string]bool{}
	for w := range strings.SplitSeq(words, ";") {
		out[strings.TrimSpace(w)] = true
	}
	return out
}

// Fold returns a text as it is compared: its tokens.
func Fold(s string) string { return strings.Join(text.Tokens(s), " ") }

// adStems are how words begin by which results are told to be paid for.
var adStems = strings.Fields(`sponsor gesponsor gesponser promot advert anzeige werbung annonc anunci annunci patrocin
publicit publicid pubblicit reklam annons mainos paid pagat pagad bezahlt betaald paye payant commandit inserat`)

// IsAdWord reports whether a text is a word for what is paid for, alone.
func IsAdWord(s string) bool { return adLabels[Fold(s)] }

// IsAdLabel reports whether a text says that what stands beside it is paid for: a word of that
// stem among three at most, or such a word beside an address.
func IsAdLabel(s string) bool { return isAdShort(s) || IsAdBeside(s) }

// IsAdBeside reports whether a text is a label for what is paid for beside something else.
func IsAdBeside(s string) bool {
	if len(s) > 120 {
		return false
	}
	for _, sign := range []string{"·", "•", "|", "-", "–", ":"} {
		if before, after, ok := strings.Cut(s, sign); ok && (IsAdWord(before) || IsAdWord(after)) {
			return true
		}
	}
	return addressBehindAd(s) != ""
}

// addressBehindAd returns what follows a label for what is paid for of up to three words, where that
// is a shown address; empty for none.
func addressBehindAd(s string) string {
	s = strings.TrimSpace(s)
	for at, words := 0, 0; words < 3; words++ {
		space := strings.IndexByte(s[at:], ' ')
		if space < 0 {
			return ""
		}
		at += space
		rest := strings.Trim(s[at:], " ·•|-–:")
		if isAdShort(s[:at]) && shownAddress.MatchString(rest) {
			return rest
		}
		at++
	}
	return ""
}

// isAdShort reports whether a short text is a label for what is paid for.
func isAdShort(s string) bool {
	words := strings.Fields(Fold(s))
	if len(words) == 0 || len(words) > 3 || strings.ContainsAny(s, "?%0123456789") {
		return false
	}
	if adLabels[strings.Join(words, " ")] {
		return true
	}
	return slices.ContainsFunc(words, func(w string) bool {
		return slices.ContainsFunc(adStems, func(stem string) bool { return strings.HasPrefix(w, stem) })
	})
}

// IsMark reports whether a text only counts: 3., A.
func IsMark(s string) bool { return numberMark.MatchString(s) }

// numberMark is a text that only counts: 3., A.
var numberMark = regexp.MustCompile(`^(?:\d{1,3}|[A-Z])[.)]?$`)

// IsGeneric reports whether a text is that of a button that stands with many results.
func IsGeneric(s string) bool { return generic[Fold(s)] }

// shownAddress is an address as it is shown beside a title: a domain, with its path or a
// trail of words.
var shownAddress = regexp.MustCompile(
	`(?i)^(https?://)?((?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+[\p{L}]{2,})(:\d+)?(/\S*)?( ?[›»>/] .*)?( ?[·•|-] ?\S+)*( ?[·•|-])?$`)

// DomainOf returns the domain of a text that is a shown address, empty for none.
func DomainOf(s string) string {
	s = strings.TrimSpace(s)
	if len(s) > 300 || !strings.Contains(s, ".") {
		return ""
	}
	if rest := addressBehindAd(s); rest != "" {
		s = rest
	}
	m := shownAddress.FindStringSubmatch(s)
	if m == nil || strings.Contains(m[2], "..") || onlyDigits(m[2]) {
		return ""
	}
	return strings.ToLower(m[2])
}

func onlyDigits(s string) bool {
	return strings.Trim(s, "0123456789.,") == ""
}
