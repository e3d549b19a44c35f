package main

import (
	"fmt"
	"math/rand/v2"
	"strings"
)

// sample makes a page as shops have them: a menu, sections with headings,
// paragraphs with links, images, a footer. Each of the phrases stands in it
// five times or more.
func sample(size, links, images, phraseCount int) (body []byte, phrases []string) {
	rnd := rand.New(rand.NewPCG(7, 11))
	vocabulary := words(rnd, 3000)
	for i := range phraseCount {
		phrases = append(phrases, services[i%len(services)]+" "+places[i/len(services)%len(places)])
	}
	var b strings.Builder
	b.WriteString("<!doctype html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>Sweeps of Tarn " +
		"Harbor</title>\n" +
		"<style>.menu a{color:red}.hide{display:none}@media " +
		"(max-width:700px){.menu{display:none}}</style>\n</head>\n<body class=\"home page\">\n")
	b.WriteString("<header class=\"site-header\"><nav class=\"menu\"><ul>\n")
	for range 20 {
		fmt.Fprintf(&b, "<li class=\"menu-item\"><a href=\"/%s/\">%s</a></li>\n", pick(rnd, vocabulary),
			pick(rnd, vocabulary))
	}
	b.WriteString("</ul></nav></header>\n<main>\n")
	links -= 20
	// A first round finds how long the text of each section must be.
	sections := images
	perSection := (size - b.Len() - links*60 - images*140) / sections
	placed := 0
	for i := range sections {
		fmt.Fprintf(&b, "<section class=\"part part-%d\">\n<h2 class=\"part-title\">%s %s</h2>\n<p class=\"text\">",
			i%9, pick(rnd, vocabulary), pick(rnd, vocabulary))
		from := b.Len()
		for n := 0; b.Len()-from < perSection; n++ {
			switch {
			case n%110 == 109:
				p := phrases[placed%phraseCount]
				placed++
				b.WriteString(strings.ToUpper(p[:1]) + p[1:] + ". ")
			case n%60 == 30 && links > 0:
				links--
				fmt.Fprintf(&b, "<a class=\"link\" href=\"/%s/%s\">%s</a> ", pick(rnd, vocabulary),
					pick(rnd, vocabulary), pick(rnd, vocabulary))
			case n%15 == 14:
				b.WriteString(pick(rnd, vocabulary) + ". ")
			case n%90 == 88:
				b.WriteString("</p>\n<p class=\"text\">")
			default:
				b.WriteString(pick(rnd, vocabulary) + " ")
			}
		}
		fmt.Fprintf(&b,
			"</p>\n<img class=\"photo\" src=\"/media/%s-%d.jpg\" width=\"800\" height=\"600\" alt=\"%s\">\n",
			pick(rnd, vocabulary), i, pick(rnd, vocabulary))
		for j := 0; j < 3 && links > 0; j++ {
			links--
			fmt.Fprintf(&b, "<a class=\"more\" href=\"/%s\">%s</a>\n", pick(rnd, vocabulary), pick(rnd, vocabulary))
		}
		b.WriteString("</section>\n")
	}
	b.WriteString("</main>\n<footer class=\"site-footer\"><p>The end of it</p></footer>\n</body>\n</html>\n")
	return []byte(b.String()), phrases
}

var (
	services = []string{"chimney sweep", "chimney inspection", "flue liner installation", "masonry repair",
		"dryer vent cleaning", "wood stove installation", "chimney cap fitting", "fireplace repair", "chimney company",
		"emergency chimney repair"}
	places = []string{"tarn harbor", "ostrey", "pell crossing", "quillby", "hazard mills", "north tarn", "wick island",
		"tarn harbor me", "near me", "tarn harbor maine"}
)

func words(rnd *rand.Rand, n int) []string {
	out := make([]string, n)
	for i := range out {
		var b strings.Builder
		for range 2 + rnd.IntN(8) {
			b.WriteByte("eaiotnsrhldcumfpgwybvkxjqz"[min(rnd.IntN(26), rnd.IntN(26))])
		}
		out[i] = b.String()
	}
	return out
}

func pick(rnd *rand.Rand, from []string) string { return from[rnd.IntN(len(from))] }
