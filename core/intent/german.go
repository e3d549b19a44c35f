package intent

// germanLists returns the lists for German.
func germanLists() Lists {
	return Lists{
		Question: []string{"wie", "was", "warum", "wieso", "wann", "wo", "wer", "welche", "welcher", "welches",
			"wieviel", "kann", "darf", "muss", "soll", "sollte", "ist", "sind"},
		Research: []string{"kosten", "preis", "preise", "preisliste", "wie", "was", "warum", "wann", "ideen", "bilder",
			"fotos", "beispiele", "selber machen", "selbst",
			"selber", "anleitung", "tipps", "vergleich", "unterschied", "vorher nachher", "vorteile", "nachteile",
			"bedeutung", "definition", "vorschriften", "pflicht",
			"checkliste", "test", "erfahrungen", "lebensdauer", "vs", "oder", "rechner", "video"},
		Trouble: []string{"nicht", "kein", "undicht", "tropft", "läuft nicht", "defekt", "fehler", "fehlercode",
			"störung", "problem", "geräusch", "geräusche", "macht", "schaltplan",
			"stinkt", "verstopft", "blinkt"},
		Hire: []string{"notdienst", "notfall", "eilig", "24 stunden", "24h", "beste", "bester", "bestes", "günstig",
			"günstige", "günstiger", "billig", "angebot", "kostenvoranschlag", "termin",
			"zertifiziert", "geprüft", "professionell", "zuverlässig", "empfehlung", "seriös", "sofort"},
		Doers: []string{"firma", "unternehmen", "betrieb", "fachbetrieb", "meisterbetrieb", "dienst", "service",
			"fachmann", "experte", "handwerker", "meister", "techniker", "spezialist", "wartung", "kundendienst"},
		Near: []string{"in der nähe", "in meiner nähe", "nähe", "umgebung", "in der umgebung", "um mich herum",
			"hier in der nähe"},
		Acts: []string{
			"einbau, einbauen, installation, installieren, installateur, montage, montieren, monteur, austausch, " +
				"austauschen, erneuerung, erneuern, wechsel, ersetzen",
			"reparatur, reparieren, instandsetzung", "reinigung, reinigen, reiniger, putzen, kehren, säubern",
			"inspektion, prüfung, prüfen, kontrolle, begutachtung",
			"entfernung, entfernen, entsorgung, entsorgen, abbau, ausbau", "abriss, abbruch, abreißen",
			"anstrich, streichen, malen, lackieren, lackierung", "bau, bauen, neubau",
			"sanierung, sanieren, renovierung, renovieren, restaurierung", "dämmung, dämmen, isolierung",
			"vermietung, mieten, miete, verleih", "lieferung, liefern", "umzug",
			"schneiden, schnitt, fällen, fällung", "spülung, spülen", "leerung, leeren, absaugen", "bohrung, bohren",
			"beschichtung, versiegelung, abdichtung, abdichten",
			"planung, planen, entwurf", "bekämpfung, bekämpfen", "behandlung", "aushub, graben"},
		Goods: []string{"jobs", "job", "stellenangebote", "stelle", "gehalt", "ausbildung", "kurs", "lehrgang",
			"schulung", "studium", "genehmigung", "versicherung", "förderung",
			"zuschuss", "kaufen", "zu verkaufen", "gebraucht", "gebrauchte", "ersatzteile", "ersatzteil", "zubehör",
			"material", "werkzeug", "shop", "baumarkt", "großhandel",
			"lieferant", "set", "bausatz", "software", "mieten", "leihen"},
		Generic: []string{"haus", "wohnung", "privat", "gewerblich", "groß", "klein", "alt", "neu", "holz", "metall",
			"arbeiten", "anlage", "system", "heute", "kostenlos"},
		Endings: []string{"gmbh", "ag", "kg", "ohg", "ug", "ek", "und söhne", "und sohn", "gbr", "se"},
		Ordinary: []string{"nord", "süd", "ost", "west", "alt", "neu", "haus", "stadt", "gruppe", "söhne", "sohn",
			"brüder", "deutsche", "erste"},
	}
}
