package intent

// frenchLists returns the lists for French.
func frenchLists() Lists {
	return Lists{
		Question: []string{"comment", "combien", "pourquoi", "quand", "quel", "quelle", "quels", "quelles", "qui",
			"que", "quoi", "faut il", "est ce", "peut on", "doit on", "puis je", "c'est quoi", "qu'est ce"},
		Research: []string{"prix", "tarif", "coût", "coûte", "combien", "comment", "pourquoi", "devis type", "idées",
			"photos", "images", "exemples",
			"soi même", "bricolage", "tuto", "tutoriel", "conseils", "définition", "vs", "versus", "avant après",
			"différence entre", "types de", "avantages",
			"inconvénients", "signes", "durée de vie", "réglementation", "norme", "entretien soi même", "horaire",
			"calcul", "vidéo", "avis forum", "forum"},
		Trouble: []string{"ne", "fuit", "fuite", "coule", "panne", "bloqué", "bruit", "code erreur", "erreur",
			"problème", "défaut", "schéma", "fissure", "odeur", "goutte", "clignote", "bouché"},
		Hire: []string{"urgence", "urgent", "24h", "24h 24", "meilleur", "meilleure", "pas cher", "devis", "soumission",
			"estimation", "local", "certifié", "agréé", "qualifié",
			"professionnel", "fiable", "recommandé", "rendez vous", "rapide", "bon marché", "abordable"},
		Doers: []string{"entreprise", "entrepreneur", "société", "compagnie", "artisan", "spécialiste", "expert",
			"service", "technicien", "ouvrier", "dépannage", "entretien"},
		Near: []string{"près de moi", "proche de moi", "à proximité", "autour de moi", "près de chez moi",
			"proche de chez moi", "dans mon secteur"},
		Acts: []string{
			"installation, installer, installateur, pose, poser, poseur, remplacement, remplacer, changement, " +
				"montage, monteur",
			"réparation, réparer, réparateur, dépannage, dépanneur",
			"nettoyage, nettoyer, nettoyeur, ramonage, ramoneur, ramoner", "lavage, laver, laveur",
			"inspection, inspecter, inspecteur, contrôle, diagnostic, vérification", "déneigement, déneiger, déneigeur",
			"enlèvement, enlever, retrait, débarras",
			"démolition, démolir, démontage", "peinture, peindre, peintre", "construction, construire, constructeur",
			"rénovation, rénover, restauration, réfection",
			"isolation, isoler", "traitement, traiter, démoussage", "location, louer", "livraison, livrer",
			"déménagement, déménageur", "taille, élagage, élagueur, tailler, abattage",
			"débouchage, déboucher, vidange, vidanger", "forage, forer, foreur", "conception, concevoir",
			"étanchéité, imperméabilisation", "excavation, creuser",
			"extermination, exterminateur, dératisation, désinsectisation"},
		Goods: []string{"emploi", "offre d'emploi", "recrutement", "salaire", "formation", "cours", "stage",
			"apprentissage", "école", "permis", "licence", "assurance", "subvention",
			"à vendre", "vente", "occasion", "d'occasion", "usagé", "usagés", "pièces", "pièce détachée", "matériaux",
			"matériel", "fournisseur", "magasin", "kit", "outil",
			"catalogue", "grossiste", "logiciel", "location", "à louer"},
		Generic: []string{"résidentiel", "commercial", "industriel", "maison", "appartement", "bâtiment", "toit",
			"petit", "grand", "neuf", "neuve", "ancien", "bois", "métal",
			"travaux", "gratuit", "ouvert", "domicile"},
		Endings: []string{"inc", "ltée", "sarl", "sas", "enr", "et fils", "et frères", "sa"},
		Ordinary: []string{"maison", "du", "des", "nord", "sud", "est", "ouest", "groupe", "frères", "fils", "vieux",
			"grand", "petit", "saint", "rue", "ville", "artisan"},
	}
}
