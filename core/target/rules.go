package target

// Kind is what a page of the client is for.
type Kind string

// The page kinds.
const (
	Home    Kind = "home"
	Service Kind = "service"
	Area    Kind = "area"
	About   Kind = "about"
	Contact Kind = "contact"
	Gallery Kind = "gallery"
	Article Kind = "article"
	Other   Kind = "other"
)

// Guideline is how many words a kind of page should have (MEASURES 8.1).
type Guideline struct {
	Low     int `json:"low"`
	High    int `json:"high"`
	Ceiling int `json:"ceiling" doc:"No target goes beyond it"`
}

// MarkRule tells what of the rivals' figures is the mark (MEASURES 8.2).
type MarkRule string

// The rules for the mark.
const (
	Strongest MarkRule = "strongest"
	Median    MarkRule = "median"
	BestThree MarkRule = "best three"
)

// Weights are the shares of a family's gain that each kind of target stands
// for, in percent (MEASURES 12.1).
type Weights struct {
	Words       float64 `json:"words"`
	Title       float64 `json:"title"`
	H1          float64 `json:"h1"`
	Subheads    float64 `json:"subheads"`
	Body        float64 `json:"body"`
	Opening     float64 `json:"opening"`
	ImageNames  float64 `json:"image_names"`
	Address     float64 `json:"address"`
	Alt         float64 `json:"alt"`
	Description float64 `json:"description"`
}

// Minutes is what the work on each kind of target takes (MEASURES 12.2).
type Minutes struct {
	HundredWords float64 `json:"hundred_words"`
	Title        float64 `json:"title" doc:"Also the description and the address"`
	H1           float64 `json:"h1"`
	Phrase       float64 `json:"phrase" doc:"A phrase in a subhead, the body or the opening"`
	ImageName    float64 `json:"image_name"`
	Alt          float64 `json:"alt"`
	NewPage      float64 `json:"new_page" doc:"Without its words"`
}

// Yardstick is the rules that turn measures into targets.
type Yardstick struct {
	Home    Guideline `json:"home"`
	Service Guideline `json:"service" doc:"Service and area pages"`
	Mark    MarkRule  `json:"mark"`
	// A rival above the ceiling and over OutlierFactor times the median of all
	// is set aside where there are three or more (MEASURES 8.2).
	OutlierFactor float64 `json:"outlier_factor"`
	// Beat is the mark and the larger of BeatWords and BeatPercent (8.3).
	BeatWords   float64 `json:"beat_words"`
	BeatPercent float64 `json:"beat_percent"`
	// Step is what targets are rounded up to, and what is not worth writing.
	Step    int     `json:"step"`
	Weights Weights `json:"weights"`
	Minutes Minutes `json:"minutes"`
	// WordsPerFamily is how many words of the target allow one more family.
	WordsPerFamily int `json:"words_per_family"`
	// TitleStart is within how many characters a title must name its family.
	TitleStart int `json:"title_start"`
	// CarryingHome and CarryingOther are how many images must carry a phrase.
	CarryingHome  int `json:"carrying_home"`
	CarryingOther int `json:"carrying_other"`
}

// Standard is the yardstick that everybody starts with.
func Standard() Yardstick {
	return Yardstick{
		Home:          Guideline{Low: 1500, High: 2000, Ceiling: 2500},
		Service:       Guideline{Low: 500, High: 750, Ceiling: 1200},
		Mark:          Strongest,
		OutlierFactor: 2.5,
		BeatWords:     100, BeatPercent: 15, Step: 50,
		Weights: Weights{Words: 26, Title: 20, H1: 14, Subheads: 10, Body: 8, Opening: 6, ImageNames: 6, Address: 4, Alt: 3, Description: 3},
		Minutes: Minutes{HundredWords: 20, Title: 10, H1: 5, Phrase: 3, ImageName: 4, Alt: 1, NewPage: 30},

		WordsPerFamily: 75, TitleStart: 60, CarryingHome: 3, CarryingOther: 2,
	}
}

// Presets are named yardsticks for other habits (MEASURES 8.1).
func Presets() map[string]Yardstick {
	shorter, match, above, quarter := Standard(), Standard(), Standard(), Standard()
	shorter.Home = Guideline{Low: 800, High: 1200, Ceiling: 1800}
	match.BeatWords, match.BeatPercent = 0, 0
	above.BeatWords, above.BeatPercent = 1, 0
	quarter.BeatPercent = 25
	return map[string]Yardstick{
		"standard": Standard(), "shorter home": shorter, "match only": match, "just above": above, "a quarter more": quarter,
	}
}

// Guideline returns the guideline of a kind of page.
func (y Yardstick) Guideline(k Kind) Guideline {
	if k == Home {
		return y.Home
	}
	return y.Service
}
