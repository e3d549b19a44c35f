package page

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestDetails(t *testing.T) {
	p := Read([]byte(`<html lang=en><head><link rel=canonical href="/"><meta name=ROBOTS content="noindex, follow">
	<script type="application/ld+json">{"@graph":[{"@type":"WebSite","name":"x"},{"@type":["HomeBusiness","Thing"],"name":"Brindle &amp; Ash",
	"telephone":"207-555-0134","address":{"streetAddress":"14 Ropewalk Lane","addressLocality":"Tarn Harbor"},"openingHours":["Mo-Fr 08:00-17:00"],
	"areaServed":[{"name":"Ostrey"},"Quillby"]}]}</script><script type="application/ld+json">{broken</script></head>
	<p>Call 207-555-0134 or (207) 555-0117. Again: 207-555-0134.</p><p><a href="tel:+1-207-555-0117">call</a> <a href="mailto:a@b.example?x">write</a></p>
	<p>Lorem ipsum dolor sit amet, consectetur adipiscing elit.</p>
	<p>Pictures are kept for ten years.</p><p>We serve Tarn Harbor and the towns nearby, and surrounding communities. For thirty years we have swept.</p>
	<p>Nous sommes les ramoneurs de la ville et nous venons chez vous dans la semaine avec nos outils.</p>
	<a href="/x">in</a><a href="http://brindleandash.example/y">in too</a><a href="https://other.example">out</a><a href=/z><img src=a.png></a>
	<form><input type=search></form><form role=search><input></form><form><input type=hidden><textarea></textarea></form>
	<iframe src="//maps.example/place"></iframe><iframe title="A video of us"></iframe><video></video>
	<blockquote>Good<div class=testimonial>nested</div></blockquote><div class="review-card">Fine</div><div class=reviews>all</div>`),
		Source{URL: "https://www.brindleandash.example/"})
	d := p.Details()
	assert.Equal(t, Details{
		Canonical: "/", Robots: "noindex, follow", Secure: true,
		Phones: []Phone{{"207-555-0134", false}, {"(207) 555-0117", true}}, Mails: []string{"a@b.example"},
		Forms: 1, Videos: 2, Maps: 1, Internal: 2, External: 1,
		Businesses: []DescribedBusiness{{Type: "HomeBusiness", Name: "Brindle &amp; Ash", Phone: "207-555-0134",
			Address: "14 Ropewalk Lane, Tarn Harbor", Hours: []string{"Mo-Fr 08:00-17:00"}, Areas: []string{"Ostrey", "Quillby"}}},
		Placeholder: 8, Foreign: 18, Vague: []string{"and the towns nearby", "and surrounding communities"},
		Testimonials: 2, Years: "thirty years",
	}, d)
}

func TestUnderConstruction(t *testing.T) {
	assert.True(t, Read([]byte("<h1>Coming soon</h1>"), Source{}).Details().UnderConstruction)
	long := "<p>Coming soon: a new stove. "
	for range 120 {
		long += "word "
	}
	assert.False(t, Read([]byte(long), Source{}).Details().UnderConstruction)
	assert.False(t, Read(nil, Source{}).Details().Secure)
}
