package brought

import (
	"slices"
	"strings"

	"inktally/core/text"
)

// heading is what a column may be called, in the languages known, and what has to stand in it.
type heading struct {
	column Column
	// ofPage is the column where the heading speaks of a page and not of a whole site, empty where that is one.
	ofPage Column
	words  []string
	holds  content
}

func list(words string) []string {
	out := strings.Split(words, ",")
	for i := range out {
		out[i] = strings.Join(text.Tokens(out[i]), " ")
	}
	slices.SortFunc(out, func(a, b string) int { return len(b) - len(a) })
	return out
}

var (
	strengths = heading{StrengthOfSite, StrengthOfPage, list(`strength,authority,score,rank,trust,power,rating,stärke,
autorität,
autorité,autoridad,autorità,autoriteit,fuerza,forza,force`), numbers}
	domains = heading{DomainsOfSite, DomainsOfPage, list(`referring domains,ref domains,linking domains,
linking root domains,root domains,
linking sites,linking websites,referring sites,referring websites,domains,verweisende domains,verlinkende domains,
domaines référents,
domaines référants,dominios de referencia,domini di riferimento,verwijzende domeinen`), numbers}
	links = heading{LinksOfSite, LinksOfPage, list(`backlinks,inbound links,external links,incoming links,links,
total links,liens,
liens entrants,enlaces,enlaces entrantes,link in entrata,rückverweise,eingehende links,inkomende links`), numbers}
	ratings = heading{Rating, "", list(`rating,stars,average rating,star rating,bewertung,sterne,note,étoiles,
valoración,estrellas,
puntuación,valutazione,stelle,beoordeling,sterren`), stars}
	reviews = heading{Reviews, "", list(`reviews,review count,number of reviews,total reviews,ratings count,
anzahl bewertungen,
anzahl rezensionen,rezensionen,bewertungen,avis,nombre d avis,nombre davis,reseñas,opiniones,número de reseñas,
recensioni,recensies,
beoordelingen`), numbers}
	recent = heading{Recent, "", list(`reviews last 90 days,reviews in 90 days,recent reviews,new reviews,
reviews 90 days,
bewertungen 90 tage,neue bewertungen,avis récents,reseñas recientes`), numbers}
	photos = heading{Photos, "", list(`photos,photo count,pictures,images,fotos,bilder,anzahl fotos,foto,immagini,
imágenes`), numbers}
	siteOf = heading{Site, "", list(`site,domain,website,url,competitor,business,business name,name,company,firm,host,
betrieb,firma,
unternehmen,webseite,domaine,entreprise,nom,dominio,empresa,nombre,negocio,sitio,sito,azienda,nome,domein,bedrijf,
naam`), sites}
)

// headings are the columns of each kind of table.
var headings = map[Kind][]heading{
	Totals: {siteOf, recent, domains, links, reviews, ratings, strengths, photos,
		{FoundFor, "", list(`organic keywords,ranking keywords,keywords,phrases,phrases found for,found for,
suchbegriffe,mots clés,
palabras clave,parole chiave,zoekwoorden`), numbers},
		{Visits, "", list(`traffic,visits,visitors,organic traffic,est traffic,visits mo,besucher,besuche,trafic,
visites,tráfico,
visitas,traffico,visite,verkeer,bezoeken`), numbers},
		{ListingsOf, "", list(`listings,citations,directories,brancheneinträge,einträge,annuaires,directorios,citas,
citazioni,
vermeldingen`), numbers},
		{Day, "", list(`date,day,as of,stand,datum,fecha,data,taken on`), dates}},
	Links: {strengths,
		{LinkPage, "", list(`source page,source url,referring page,referring url,referring page url,linking page,
linking url,page url,
from url,url from,backlink url,backlink,source,from,link,verweisende seite,quelle,quellseite,page source,page référente,
página de origen,
pagina di origine,bronpagina,page,url`), addresses},
		{LinkDomain, "", list(`referring domain,linking domain,source domain,domain,root domain,linking site,
referring site,
verweisende domain,domaine référent,domaine,dominio,dominio de referencia,domein,website,site,host`), sites},
		{LinkTitle, "", list(`title,page title,source title,referring page title,titel,seitentitel,titre,título,
titolo`), words},
		{Anchor, "", list(`anchor,anchor text,link text,anchor and backlink,ankertext,linktext,texte d ancrage,
texte dancrage,ancre,
texto de anclaje,ancla,testo di ancoraggio,ankertekst`), anything},
		{FirstSeen, "", list(`first seen,discovered,first found,first indexed,found on,date found,zuerst gesehen,
erstmals gesehen,
première détection,vu la première fois,primera vez,visto por primera vez,prima rilevazione,eerst gezien`), dates},
		{LastSeen, "", list(`last seen,last checked,last found,last crawled,zuletzt gesehen,dernière détection,
última vez,
ultima rilevazione,laatst gezien`), dates},
		{NotFollow, "", list(`nofollow,no follow,not followed`), flags},
		{Followed, "", list(`follow,followed,dofollow,do follow,link type,type,rel,follow nofollow,typ,tipo`), flags},
		{Lost, "", list(`lost,lost date,lost on,date lost,link lost,status,verloren,perdu,perdido,perso,verlies`),
			anything},
		{LinksFrom, "", list(`links,backlinks,number of links,links from domain,total links,liens,anzahl links,enlaces,
link`), numbers},
		{Target, "", list(`target url,target,link target,target page,to url,url to,destination,links to,linked page,
ziel,zielseite,
ziel url,cible,page cible,destino,destinazione,doel`), addresses},
		{Language, "", list(`language,lang,sprache,langue,idioma,lingua,taal`), words}},
	Listings: {
		{Directory, "", list(`directory,listed on,directory name,platform,source,publisher,verzeichnis,branchenbuch,
branchenverzeichnis,
portal,annuaire,directorio,guía,elenco,gids`), words},
		{BusinessName, "", list(`business name,business,listing name,name,company,company name,firmenname,firma,
name des betriebs,nom,
nom de l entreprise,nombre,nombre del negocio,nome,naam,bedrijfsnaam`), words},
		{Address, "", list(`address,street,street address,address line 1,anschrift,adresse,straße,strasse,rue,dirección,
calle,indirizzo,
via,adres,straat`), words},
		{Town, "", list(`city,town,locality,ort,stadt,ville,ciudad,localidad,città,plaats`), words},
		{State, "", list(`state,province,region,county,bundesland,provincia,provincie`), words},
		{Postcode, "", list(`zip,zip code,postcode,postal code,plz,postleitzahl,code postal,código postal,cap`),
			anything},
		{Phone, "", list(`phone,telephone,phone number,tel,telefon,telefonnummer,téléphone,teléfono,telefono,
telefoon`), anything},
		{BusinessSite, "", list(`website,web,site,website url,webseite,homepage,site web,sitio web,sito,sito web`),
			anything},
		{Hours, "", list(`hours,opening hours,business hours,öffnungszeiten,horaires,horario,horarios,orari,orario,
openingstijden`), anything},
		{IsListed, "", list(`listed,status,found,present,live,eingetragen,vorhanden,présent,statut,estado,presente,
presente,vermeld`), flags},
		{ListingPage, "", list(`listing url,listing link,listing,profile url,url,link,eintrag,lien,enlace,link`),
			addresses}},
	Profiles: {siteOf, recent, reviews, ratings, photos,
		{Category, "", list(`category,primary category,main category,hauptkategorie,kategorie,catégorie,
catégorie principale,categoría,
categoria,categorie`), words},
		{Description, "", list(`description,about,from the business,beschreibung,descripción,descrizione,
omschrijving`), words},
		{Hours, "", list(`hours,opening hours,business hours,öffnungszeiten,horaires,horario,orari,openingstijden`),
			anything},
		{Phone, "", list(`phone,telephone,phone number,telefon,téléphone,teléfono,telefono`), anything},
		{BusinessSite, "", list(`website,web site,website url,webseite,site web,sitio web,sito web`), anything},
		{Address, "", list(`address,street address,anschrift,adresse,dirección,indirizzo,adres`), words},
		{Areas, "", list(`service areas,areas served,areas,service area,einzugsgebiet,zones desservies,zonas,
zone servite`), words},
		{Services, "", list(`services,leistungen,prestations,servicios,servizi,diensten`), words},
		{Founded, "", list(`founded,opened in,opening date,year founded,established,year of founding,gegründet,gründung,
fondée en,
fundada,fondata`), anything},
		{Attributes, "", list(`attributes,highlights,attribute,attributs,atributos,attributi`), words},
		{LastPost, "", list(`last post,latest post,newest post,last update,letzter beitrag,dernier post,
última publicación`), dates},
		{Answered, "", list(`answered,replies,response rate,reviews answered,share answered,beantwortet,réponses,
respondidas`), numbers},
		{PhotoNames, "", list(`photo names,photo file names,file names,dateinamen,noms de fichier`), words},
		{Claimed, "", list(`claimed,verified,owner verified,bestätigt,beansprucht,revendiquée,verificado`), flags}},
}

// pageWords speak of a page, siteWords of a whole site.
var (
	pageWords = list("page,url,seite,página,pagina")
	siteWords = list("domain,site,root,domaine,dominio,sitio,sito,domein,website")
)

// noFigure are headings of shares, changes and costs: no figure of a site.
var noFigure = list("share,cost,value,percent,change,trend,diff,difference,new,lost,growth,anteil,kosten")

// named returns what a heading may name in a table of a kind, the best first.
func named(kind Kind, cell string) (out []heading) {
	tokens := text.Tokens(cell)
	if len(tokens) == 0 || len(tokens) > 8 {
		return nil
	}
	type match struct {
		heading
		letters int
	}
	var found []match
	for _, h := range headings[kind] {
		for _, w := range h.words {
			rest, ok := without(tokens, strings.Fields(w))
			if !ok {
				continue
			}
			h := h
			if h.ofPage != "" && overlaps(rest, pageWords) && !overlaps(rest, siteWords) {
				h.column = h.ofPage
			}
			letters := len(w)
			if h.column == Rating && overlaps(rest, append(pageWords, siteWords...)) {
				continue // a strength by the name of a rating is none by stars
			}
			found = append(found, match{h, letters})
			break
		}
	}
	slices.SortStableFunc(found, func(a, b match) int { return b.letters - a.letters })
	for _, f := range found {
		if f.holds == numbers && (strings.ContainsAny(cell, "%$€£") && f.column != Answered || overlaps(tokens,
			noFigure) &&
			f.column != Recent) {
			continue
		}
		out = append(out, f.heading)
	}
	return out
}

// without returns tokens without a run of them; it is not ok where they do not hold it.
func without(tokens, run []string) (rest []string, ok bool) {
	for i := 0; len(run) > 0 && i+len(run) <= len(tokens); i++ {
		if slices.Equal(tokens[i:i+len(run)], run) {
			return slices.Concat(tokens[:i], tokens[i+len(run):]), true
		}
	}
	return nil, false
}

func overlaps(tokens, words []string) bool {
	return slices.ContainsFunc(tokens, func(t string) bool { return slices.Contains(words, t) })
}
