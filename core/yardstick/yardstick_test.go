package yardstick

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Every figure can be changed by its key, to either of its bounds, and each has
// a place of its own.
func TestEachFigure(t *testing.T) {
	seen := map[string]bool{}
	standard := Standard().Figures()
	for _, f := range standard {
		t.Run(f.Key, func(t *testing.T) {
			assert.False(t, seen[f.Key])
			seen[f.Key] = true
			assert.Equal(t, f.Default, f.Value)
			assert.Regexp(t, `^\d+\.\d+$`, f.Rule)
			assert.Less(t, f.Least, f.Most+float64(len(f.Choices)))
			y := Standard()
			for _, place := range y.figures() {
				if place.Key != f.Key {
					continue
				}
				value := fmt.Sprint(min(f.Most, max(f.Least, 1)))
				switch f.Unit {
				case Choice:
					value = f.Choices[len(f.Choices)-1]
				case Line:
					value = "What we do"
				case Tags:
					value = "es, pt-BR"
				case Lines:
					value = "Call us for {phrase}."
				}
				require.NoError(t, place.set(value))
			}
			changed := 0
			for i, now := range y.Figures() {
				if now.Value != standard[i].Value {
					changed++
				}
			}
			assert.LessOrEqual(t, changed, 1)
		})
	}
	assert.Greater(t, len(seen), 70)
}

// The languages of a town are tags; the shares of the map's visits are no more than all of them.
func TestStandingFigures(t *testing.T) {
	y, err := Standard().With(Changes{"standing.languages": " es;fr, es", "standing.share.profile": "10"})
	require.NoError(t, err)
	assert.Equal(t, []string{"es", "fr"}, y.Standing.Languages)
	_, err = y.With(Changes{"standing.languages": "es, klingonese"})
	assert.True(t, isFault(err, fault.LanguageUnknown.Code), "%v", err)
	_, err = y.With(Changes{"standing.share.listings": "70"})
	assert.True(t, isFault(err, SharesAboveHundred.Code), "%v", err)
	for name, changes := range Presets() {
		changed, err := Standard().With(changes)
		require.NoError(t, err)
		assert.NotEqual(t, Standard(), changed, name)
	}
	assert.Len(t, PresetNames(), len(Presets()))
}

func isFault(err error, code fault.Code) bool {
	f, ok := fault.Of(err)
	return ok && f.Code == code
}

func TestWith(t *testing.T) {
	y, err := Standard().With(Changes{"words.home.low": "800", "words.home.high": " 1200 ", "visits.ctr.1": "0.4",
		"words.mark": "median"})
	require.NoError(t, err)
	assert.Equal(t, 800, y.Target.Words.Home.Low)
	assert.Equal(t, 1200, y.Target.Words.Home.High)
	assert.InDelta(t, .4, y.Visits.CTR[0], 1e-9)
	assert.InDelta(t, .33, Standard().Visits.CTR[0], 1e-9, "the standard stays")
	for name, c := range map[string]struct {
		changes Changes
		want    fault.Code
	}{
		"no such figure":      {Changes{"words.nowhere": "1"}, NoSuchFigure.Code},
		"no number":           {Changes{"words.home.low": "many"}, FigureOutOfRange.Code},
		"below its bounds":    {Changes{"words.home.low": "-1"}, FigureOutOfRange.Code},
		"beyond them":         {Changes{"visits.ctr.1": "1.1"}, FigureOutOfRange.Code},
		"half a word":         {Changes{"words.home.low": "1.5"}, FigureOutOfRange.Code},
		"not a number at all": {Changes{"visits.ctr.1": "NaN"}, FigureOutOfRange.Code},
		"no such choice":      {Changes{"words.mark": "weakest"}, FigureOutOfRange.Code},
		"low over high":       {Changes{"words.home.low": "2100"}, GuidelineBackward.Code},
		"high over ceiling":   {Changes{"words.service.high": "1300"}, GuidelineBackward.Code},
		"shares not hundred":  {Changes{"outline.lead": "30"}, SharesNotHundred.Code},
		"rates backward":      {Changes{"phrases.rate.least": "20"}, RatesBackward.Code},
		"no place for it":     {Changes{"phrases.frames": "Call us."}, TextNeedsPhrase.Code},
		"its place twice":     {Changes{"copy.titles": "{phrase} | {phrase}"}, TextNeedsPhrase.Code},
		"not known there":     {Changes{"copy.titles": "{phrase} | {phone}"}, TextUnknownBlank.Code},
		"known nowhere":       {Changes{"copy.heading.about.fr": "À propos de {fim}"}, TextUnknownBlank.Code},
		"no text":             {Changes{"copy.heading.done": " "}, TextEmpty.Code},
		"no texts":            {Changes{"copy.descriptions.de": "\n \n"}, TextEmpty.Code},
		"too long":            {Changes{"copy.picture": strings.Repeat("é", 201)}, TextLineTooLong.Code},
		"weights not hundred": {Changes{"weight.words": "40"}, WeightsNotHundred.Code},
	} {
		t.Run(name, func(t *testing.T) {
			same, err := Standard().With(c.changes)
			assert.True(t, fault.Is(err, c.want), "%v", err)
			assert.Equal(t, Standard(), same)
		})
	}
}

// What is proposed for a page is that of its language, as it was changed there.
func TestTexts(t *testing.T) {
	y, err := Standard().With(Changes{"copy.heading.done.fr": " Ce que  nous faisons ",
		"copy.titles": "{firm}: {phrase}\n\n{phrase}"})
	require.NoError(t, err)
	assert.Equal(t, "Ce que nous faisons", y.Target.Copy.Of("fr-CA").Standing[0].Heading)
	assert.Equal(t, []string{"{firm}: {phrase}", "{phrase}"}, y.Target.Copy.Of("").Titles)
	assert.Equal(t, Standard().Target.Copy.German, y.Target.Copy.German)
	assert.Equal(t, "What is included", Standard().Target.Copy.English.Standing[0].Heading, "the standard stays")
}

// The presets of rule 8.1.
func TestPresets(t *testing.T) {
	rivals := []int{1720, 380, 1140, 1010}
	for preset, want := range map[Preset]int{MatchOnly: 1750, JustAbove: 1750, QuarterMore: 2150, ShorterHome: 2000} {
		t.Run(fmt.Sprint(preset), func(t *testing.T) {
			y, err := Standard().With(Presets()[preset])
			require.NoError(t, err)
			assert.Equal(t, want, y.Target.Words.Of(site.Home, 0, 0, rivals).Target, preset)
		})
	}
	shorter, err := Standard().With(Presets()[ShorterHome])
	require.NoError(t, err)
	assert.Equal(t, 1000, shorter.Target.Words.Of(site.Home, 0, 0, nil).Target)
}

// Changes that are taken one after another come to the same as all at once.
func TestChangesAddUp(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		one := Changes{"visits.ctr.1": rapid.SampledFrom([]string{"0.1", "0.5"}).Draw(t, "ctr"), "words.step": "10"}
		two := Changes{"words.step": rapid.SampledFrom([]string{"20", "50"}).Draw(t, "step"), "lineup.most": "5"}
		y, err := Standard().With(one)
		require.NoError(t, err)
		y, err = y.With(two)
		require.NoError(t, err)
		both, err := Standard().With(Changes{"visits.ctr.1": one["visits.ctr.1"], "words.step": two["words.step"],
			"lineup.most": "5"})
		require.NoError(t, err)
		assert.Equal(t, both, y)
	})
}
