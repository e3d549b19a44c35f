package intent

import (
	"testing"

	"inktally/core/gazetteer"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
)

// The lists of other languages: small words, hire, question and act words, and the
// ways to say near me.
func TestOtherLanguages(t *testing.T) {
	for lang, c := range map[string]struct {
		places   []place.Place
		services []Service
		want     map[string]Intent
	}{
		"fr": {
			[]place.Place{{Name: "Port-Larivière", Home: true}, {Name: "Saint-Corin"}},
			[]Service{{Name: "ramonage de cheminée", Words: []string{"ramoneur", "nettoyage de cheminée"}},
				{Name: "réparation de toiture", Words: []string{"couvreur"}}},
			map[string]Intent{
				"ramonage cheminée port lariviere": Hire, "ramonage de cheminée à saint-corin": Hire,
				"ramoneur près de chez moi": Hire, "couvreur pas cher st corin": Hire,
				"entreprise de réparation de toiture": Hire, "prix ramonage cheminée": Question,
				"comment ramoner une cheminée": Question, "combien coûte un ramonage": Question,
				"emploi couvreur": NotOffered, "peinture de toiture port larivière": NotOffered,
				"cheminée à vendre": NotOffered, "couvreur lyon": Elsewhere,
				"toiture qui fuit": Question, "zébu ramonage cheminée saint corin": Unsure,
				"ramonage dubois et fils": Brand,
			},
		},
		"de": {
			[]place.Place{{Name: "Tarnhafen", Home: true}, {Name: "Osterbruch"}},
			[]Service{{Name: "Heizung Reparatur", Words: []string{"Heizungsreparatur", "Heizung Wartung"}},
				{Name: "Rohrreinigung"}},
			map[string]Intent{
				"heizung reparatur tarnhafen": Hire, "reparatur der heizung in tarnhafen": Hire,
				"rohrreinigung in der nähe": Hire, "heizung reparatur notdienst": Hire,
				"günstige rohrreinigung osterbruch": Hire, "heizung reparatur kosten": Question,
				"wie heizung entlüften": Question, "heizung undicht": Question,
				"heizung kaufen tarnhafen": NotOffered, "heizung einbau tarnhafen": NotOffered,
				"rohrreinigung ausbildung": NotOffered, "rohrreinigung hamburg": Elsewhere,
				"müller rohrreinigung tarnhafen": Unsure, "kowalski gmbh rohrreinigung": Brand,
			},
		},
		"es": {
			[]place.Place{{Name: "Puerto Alder", Home: true}, {Name: "San Quillo"}},
			[]Service{{Name: "reparación de calderas", Words: []string{"arreglo de calderas"}},
				{Name: "limpieza de chimeneas", Words: []string{"deshollinador"}}},
			map[string]Intent{
				"reparación de calderas puerto alder": Hire, "reparacion calderas en san quillo": Hire,
				"deshollinador cerca de mí": Hire, "limpieza de chimeneas económico san quillo": Hire,
				"empresa de limpieza de chimeneas": Hire, "precio reparación de calderas": Question,
				"cómo limpiar una chimenea": Question, "caldera gotea": Question,
				"calderas en venta": NotOffered, "instalación de calderas puerto alder": NotOffered,
				"trabajo deshollinador": NotOffered, "reparación de calderas sevilla": Elsewhere,
				"ferroz reparación de calderas puerto alder": Unsure, "calderas rumbo e hijos": Brand,
			},
		},
	} {
		lists := ListsFor(lang)
		j := NewJudge(Ground{Language: phrase.LanguageOf(lang, c.places, phrase.Corrections{Near: lists.Near}),
			Lists: lists, Services: c.services, Towns: gazetteer.World()})
		for s, want := range c.want {
			t.Run(lang+" "+s, func(t *testing.T) { assert.Equal(t, want, j.Of(s).Intent, "%+v", j.Of(s)) })
		}
	}
}

// The lists of a language count where a service is named in it, and nowhere else.
func TestListsOfServices(t *testing.T) {
	plain := ListsOfServices("en", []Service{{Name: "roof repair"}})
	assert.Equal(t, EnglishLists(), plain)
	both := ListsOfServices("en-CA", []Service{{Name: "roof repair", Words: []string{"réparation de toiture"}}})
	assert.Contains(t, both.Near, "près de moi")
	assert.Contains(t, both.Near, "near me")
	assert.Contains(t, both.Small, "de")
	assert.NotContains(t, both.Near, "cerca de mí")
	assert.Equal(t, Lists{}, ListsFor("it"))
	for _, lang := range []string{"en", "fr", "de", "es"} {
		for i, list := range func() []*[]string { l := ListsFor(lang); return l.all() }() {
			if i != 9 && i != 10 { // small words beside those of the language, and places not served, are the user's
				assert.NotEmpty(t, *list, "%s, list %d", lang, i)
			}
		}
	}
}
