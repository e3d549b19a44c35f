package ground

import (
	"fmt"
	"reflect"
	"strings"

	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/place"
	"inktally/internal/app/merge"
	"inktally/internal/store"
	"inktally/internal/view"
)

// merged returns what somebody made of a business that was, laid over what it is by now. Where
// both changed one thing in two ways the fault holds both.
func merged(was, is view.Business, now business) (business, error) {
	before, err := clean(was)
	if err != nil {
		return now, nil // it was never kept so: there is nothing to hold it against
	}
	kept, err := clean(is)
	if err != nil {
		return now, nil
	}
	for _, f := range fields {
		ours := f.of(&now)
		stays, err := merge.Merge(f.name, f.of(&before), f.of(&kept), ours, written)
		if err != nil {
			return now, err
		}
		reflect.ValueOf(ours).Elem().Set(reflect.ValueOf(stays).Elem())
	}
	return now, nil
}

// mergedPage returns what somebody made of a page that was, laid over what it is by now.
func mergedPage(was view.PageDraft, is store.Page, now view.PageDraft) (view.PageDraft, error) {
	for _, f := range []struct {
		thing   fault.Thing
		was, is string
		now     *string
	}{
		{fault.PageURL, was.URL, is.URL, &now.URL},
		{fault.PageKind, string(was.Kind), string(is.Kind), (*string)(&now.Kind)},
		{fault.PageService, was.Service, is.Service, &now.Service}, {fault.PagePlace, was.Place, is.Place, &now.Place},
	} {
		stays, err := merge.Merge(f.thing, f.was, f.is, *f.now, merge.Text)
		if err != nil {
			return now, err
		}
		*f.now = stays
	}
	return now, nil
}

// written writes a value for a sentence.
func written(value any) string {
	var names []string
	switch v := value.(type) {
	case *string:
		return *v
	case *[]string:
		names = *v
	case *[]intent.Service:
		for _, s := range *v {
			names = append(names, strings.Join(s.Forms(), ", "))
		}
	case *[]place.Place:
		for _, p := range *v {
			names = append(names, p.Name)
		}
	default:
		return fmt.Sprint(reflect.ValueOf(value).Elem())
	}
	return strings.Join(names, "; ")
}
