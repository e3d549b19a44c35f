package e2e

import (
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"

	"inktally/core/page"
	"inktally/e2e/browser"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/net/html/charset"
)

// A page is decoded as the browser decodes it, whatever it and its server say.
// Only undeclared UTF-8 is read as such, while a browser does so for files alone
// (rule 1.1).
func TestEncodings(t *testing.T) {
	const (
		russian = "Чистка дымоходов и печей: недорого, быстро, с гарантией"
		western = "Ramonage à façade – „schöne“ Öfen für 20 £"
		nippon  = "煙突の掃除と暖炉のストーブの点検をいたします。お気軽にお電話ください"
		korean  = "굴뚝 청소와 난로 점검을 해 드립니다. 편하게 전화 주세요"
		chinese = "烟囱清扫和壁炉检查，欢迎来电"
		// Letters that differ little from western ones need more of them to be told.
		polish = "Czyszczenie kominów i pieców, również w święta. Nasze usługi są tanie, szybkie i z gwarancją. " +
			"Przyjeżdżamy też w sobotę, " +
			"bezpłatna wycena, płatność kartą, obsługujemy całą okolicę, także żeliwne piecyki i wkłady kominowe"
		turkish = "Baca temizliği ve soba bakımı: hızlı, ucuz, güvenilir. Şömine, kazan dairesi ve havalandırma " +
			"kanallarını da temizliyoruz, " +
			"işçiliğimiz iki yıl garantilidir. Ücretsiz keşif için arayın, hafta sonları da çalışıyoruz"
	)
	long := "<!-- " + strings.Repeat("a note that goes on ", 80) + "-->"
	cases := []struct{ in, header, head, text string }{
		{"windows-1251", "text/html", "<meta charset=windows-1251>", russian},
		{"windows-1251", "", "<meta http-equiv=content-type content='text/html; charset=windows-1251'>", russian},
		{"koi8-r", "text/html; charset=koi8-r", "<meta charset=windows-1251>", russian},
		{"koi8-r", "text/html;CHARSET=\"KOI8-R\"", "", russian},
		{"koi8-r", "text/html; charset=koi8-r; charset=utf-8", "", russian},
		{"koi8-r", "text/html; charset=koi8-r; boundary", "", russian},
		{"koi8-r", "text/html; charset='koi8-r'", "", russian},
		{"koi8-r", "text/html; charset=koi8-r;", "", russian},
		{"koi8-r", "text/html; charset=nothing", "<meta charset=koi8-r>", russian},
		{"koi8-r", "text/html", "<meta charset=nothing><meta charset=koi8-r>", russian},
		{"koi8-r", "text/html", long + "<meta charset=koi8-r>", russian},
		{"koi8-r", "text/html", "<title>x</title><script>var a = '<meta charset=utf-8>'</script><meta charset=koi8-r>",
			russian},
		{"koi8-r", "text/html",
			"<!-- <meta charset=utf-8> --><style>/* <meta charset=utf-8> */</style><meta charset=koi8-r>", russian},
		{"koi8-r", "text/html", "<title><meta charset=utf-8></title><meta charset=koi8-r>", russian},
		{"koi8-r", "text/html", "<meta http-equiv=refresh content='charset=utf-8'><meta charset=koi8-r>", russian},
		{"koi8-r", "text/html", "<meta content='text/html; charset = \"koi8-r\"' http-equiv=Content-Type>", russian},
		{"koi8-r", "text/html", "<meta charset=koi8-r http-equiv=content-type content='text/html; charset=utf-8'>",
			russian},
		{"koi8-r", "text/html", "<meta http-equiv=content-type content='text/html; charset=koi8-r' charset=utf-8>",
			russian},
		{"koi8-r", "text/html", `<?xml version="1.0" encoding="koi8-r"?>`, russian},
		{"koi8-r", "text/html", `<?xml version='1.0' encoding = 'KOI8-R' ?><meta charset=nothing>`, russian},
		{"koi8-r", "text/html", `<?xml version="1.0" encoding="windows-1251"?><meta charset=koi8-r>`, russian},
		{"koi8-r", "text/html", `<?xml version="1.0" encoding="utf-8"?><title>x</title>` + long +
			`<meta charset=koi8-r>`, russian},
		{"windows-1252", "text/html", `<?xml version="1.0" encoding="koi8-r"?>`, western},
		{"utf-8", "text/html", "<meta charset=windows-1252>", western},
		{"utf-8", "text/html", "<meta charset=utf-16>", russian},
		{"utf-8", "text/html", "<meta charset=x-user-defined>", western},
		{"utf-8", "text/html; charset=koi8-r", "", "\ufeff" + russian},
		{"utf-8", "text/html; charset=utf-8", "", "\xe7\x85 cut \xff short \xc3"},
		{"utf-8", "text/html; charset=utf-8", "", "one\r\ntwo\rthree &#150; &#0; &#x110000; &copy &notit; four"},
		{"windows-1252", "text/html", "", western},
		{"shift_jis", "text/html", "<meta charset=shift_jis>", nippon},
		{"shift_jis", "text/html", "", nippon},
		{"euc-jp", "text/html", "<meta charset=x-euc-jp>", nippon},
		{"euc-jp", "text/html", "", nippon},
		{"iso-2022-jp", "text/html", "<meta charset=iso-2022-jp>", nippon},
		{"euc-kr", "text/html; charset=ks_c_5601-1987", "", korean},
		{"euc-kr", "text/html", "", korean},
		{"gbk", "text/html; charset=gb2312", "", chinese},
		{"gb18030", "text/html", "<meta charset=gb18030>", chinese},
		{"big5", "text/html; charset=big5", "", "煙囪清掃和壁爐檢查"},
		{"koi8-r", "text/html", "", russian},
		{"windows-1251", "text/html", "", russian},
		{"iso-8859-2", "text/html", "", polish},
		{"windows-1253", "text/html", "", "Καθαρισμός καμινάδων και σόμπων, γρήγορα και φθηνά"},
		{"windows-1255", "text/html", "", "ניקוי ארובות ותנורים במהירות ובזול"},
		{"windows-1256", "text/html", "", "تنظيف المداخن والمواقد بسرعة وبسعر رخيص"},
		{"windows-1254", "text/html", "", turkish},
		{"gbk", "text/html", "", chinese + "，我们提供专业的烟囱清扫服务，价格便宜"},
		{"big5", "text/html", "", "煙囪清掃和壁爐檢查，我們提供專業的服務，價格便宜"},
		{"utf-16le", "text/html; charset=utf-16le", "", russian},
		{"utf-16be", "text/html", "", "\ufeff" + nippon},
	}
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		var n int
		if _, err := fmt.Sscanf(r.URL.Path, "/%d", &n); err != nil {
			w.WriteHeader(http.StatusNotFound)
			return
		}
		w.Header()["Content-Type"] = []string{cases[n].header}
		_, _ = w.Write(encoded(t, cases[n].in, cases[n].head, cases[n].text))
	}))
	t.Cleanup(server.Close)
	ctx := browser.Start(t, nil)
	for n, c := range cases {
		facts := browser.Read(t, ctx, fmt.Sprint(server.URL, "/", n))
		p := page.Read(encoded(t, c.in, c.head, c.text), page.Source{ContentType: c.header})
		var seen []string
		for i := range p.Blocks {
			if !p.Blocks[i].Hidden {
				seen = append(seen, strings.Fields(p.Text(i))...)
			}
		}
		assert.Equal(t, strings.Fields(facts.Text), seen, "%d: %s as %q, %s", n, c.in, c.header, c.head)
	}
}

// encoded returns a page in an encoding; a byte order mark stands before all, and an
// XML declaration before its document type.
func encoded(t *testing.T, in, head, text string) []byte {
	mark := ""
	if strings.HasPrefix(text, "\ufeff") {
		mark, text = "\ufeff", strings.TrimPrefix(text, "\ufeff")
	}
	enc, name := charset.Lookup(in)
	require.NotNil(t, enc, in)
	first := ""
	if end := strings.Index(head, "?>"); strings.HasPrefix(head, "<?xml") {
		first, head = head[:end+2], head[end+2:]
	}
	body := mark + first + "<!doctype html><html><head>" + head + "</head><body><p>" + text + "</p></body></html>"
	if name == "utf-8" {
		return []byte(body)
	}
	out, err := enc.NewEncoder().Bytes([]byte(body))
	require.NoError(t, err, in)
	return out
}
