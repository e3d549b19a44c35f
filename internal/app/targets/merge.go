package targets

import (
	"slices"
	"strconv"

	"inktally/core/fault"
	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/internal/app/merge"
	"inktally/internal/wording"
)

// merged returns what somebody made of the edits of an outline that were, laid over what they are by
// now: each section by itself, and in it heading, words and whether it stays.
func (w *Worked) merged(page string, was, is, want outline.Edits) (out outline.Edits, err error) {
	if out.Order, err = merge.Merge(fault.SectionOrder, was.Order, is.Order, want.Order, w.sayOrder(page)); err != nil {
		return out, err
	}
	if out.Alone, err = merge.Merge(fault.OthersAdjusted, was.Alone, is.Alone, want.Alone,
		wording.OthersAdjusted); err != nil {
		return out, err
	}
	out.Sections, err = merge.Keys(was.Sections, is.Sections, want.Sections,
		func(_ string, was, is, want outline.SectionEdit) (outline.SectionEdit, error) {
			return mergedSection(was, is, want)
		})
	for key, s := range out.Sections {
		if s == (outline.SectionEdit{}) {
			delete(out.Sections, key)
		}
	}
	return out, err
}

func mergedSection(was, is, want outline.SectionEdit) (out outline.SectionEdit, err error) {
	if out.Heading, err = merge.Merge(fault.SectionHeading, was.Heading, is.Heading, want.Heading,
		merge.Text); err != nil {
		return out, err
	}
	if out.Words, err = merge.Merge(fault.SectionWords, was.Words, is.Words, want.Words, sayWords); err != nil {
		return out, err
	}
	if out.Added, err = merge.Merge(fault.SectionKept, was.Added, is.Added, want.Added, wording.Added); err != nil {
		return out, err
	}
	out.Dropped, err = merge.Merge(fault.SectionKept, was.Dropped, is.Dropped, want.Dropped, wording.Dropped)
	return out, err
}

// mergedChoice returns what somebody says of a target over what is said of it by now.
func mergedChoice(was, is, want plan.Choice) (plan.Choice, error) {
	return merge.Merge(fault.TargetChoice, known(was), known(is), want, wording.Choice)
}

// known returns a choice as it is told where nothing was said.
func known(c plan.Choice) plan.Choice {
	if c.State == "" {
		c.State = plan.Open
	}
	return c
}

// sayOrder writes an order of sections by their headings.
func (w *Worked) sayOrder(page string) func(keys []string) string {
	return func(keys []string) string {
		names := make([]string, 0, len(keys))
		for _, key := range keys {
			at := slices.IndexFunc(w.Outlines[page], func(s outline.Section) bool { return s.Key == key })
			if at >= 0 {
				names = append(names, w.Teller(page).Section(w.Outlines[page][at]))
			}
		}
		return merge.Texts(names)
	}
}

// sayWords writes words to write; without any the rule's stand.
func sayWords(words *int) string {
	if words == nil {
		return ""
	}
	return strconv.Itoa(*words)
}
