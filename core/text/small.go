package text

import (
	"maps"
	"slices"
	"strings"
)

// smallWords are the small words of a language by its code (rule 2.6):
// articles, prepositions and the like, which no family is told by, folded as
// tokens are. A language that is not here has none.
var smallWords = map[string]map[string]bool{
	"en": set("a an and at by for from in near of on or our the to with your"),
	"da": set("af den det de der din dine en et for fra hos i med og om paa pa til under ved vor vores"),
	"de": set("am an auf aus bei beim das dem den der des die ein eine einem einen einer eines fur ihr ihre im in " +
		"ins mit nach oder uber um und unser unsere vom von vor zu zum zur"),
	"es": set("a al ante con de del desde e el en entre la las lo los nuestra nuestro o para por sin sobre su sus tu " +
		"tus u un una unas unos y"),
	"fi": set("ja on seka tai"),
	"fr": set("a au aux avec chez d dans de des du en et l la le les leur nos notre ou par pour sans sous sur un une " +
		"vos votre"),
	"hu": set("a az egy es fel hogy ki le meg nem ra vagy van"),
	"it": set("a ad ai al alla alle con d da dai dal dalla de degli dei del della delle di e ed gli i il in l la le " +
		"lo nel nella o per su sul sulla tra un una uno"),
	"nb": set("av den det de ditt en et for fra hos i med og om pa pa til under ved var var"),
	"nl": set("aan bij de den der een en het in met naar of om onder onze op over te tot uit uw van voor"),
	"pt": set("a ao aos as com da das de do dos e em na nas no nos o os ou para pela pelo por seu sua um uma"),
	"ro": set("a al ale cu de din in la lui o pe pentru si sub un"),
	"ru": set("а в во для до за и из или к на над о об от по под при с со у"),
	"sv": set("av de den det din en ett for för fran hos i med mot och om pa pa till under var vid var"),
	"tr": set("bir da de icin ile ve veya"),
}

func init() {
	smallWords["no"], smallWords["nn"] = smallWords["nb"], smallWords["nb"]
}

func set(words string) map[string]bool {
	out := map[string]bool{}
	for _, w := range strings.Fields(words) {
		out[w] = true
	}
	return out
}

// SmallFor returns what knows the small words of a language, given by its tag;
// without a tag the language is English.
func SmallFor(tag string) func(token string) bool {
	if tag == "" {
		tag = "en"
	}
	words := smallWords[Base(tag)]
	return func(token string) bool { return words[token] }
}

// Small reports whether a folded token is a small word of English (rule 2.6).
func Small(token string) bool { return smallWords["en"][token] }

// SmallWords returns the small words of a language, sorted; none for one that is not
// known.
func SmallWords(tag string) []string {
	return slices.Sorted(maps.Keys(smallWords[Base(tag)]))
}
