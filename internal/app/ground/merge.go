package ground

import (
	"fmt"
	"reflect"
	"strings"

	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/place"
	"inktally/internal/view"
)

// field is one thing of a business that is changed by itself.
type field struct {
	name string
	of   func(*business) any // a pointer to it
}

var fields = []field{
	{"name", func(b *business) any { return &b.name }}, {"trade", func(b *business) any { return &b.trade }}, {"phone", func(b *business) any { return &b.phone }},
	{"home page", func(b *business) any { return &b.homePage }}, {"language", func(b *business) any { return &b.language }},
	{"currency", func(b *business) any { return &b.money }}, {"postcode", func(b *business) any { return &b.postcode }},
	{"customers per 100 visits", func(b *business) any { return &b.customers }}, {"services", func(b *business) any { return &b.services }},
	{"places", func(b *business) any { return &b.places }}, {"phrases", func(b *business) any { return &b.phrases }},
}

// merged is what somebody made of a business that was, laid over what it is by now. Where
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
		old, theirs, ours := f.of(&before), f.of(&kept), f.of(&now)
		switch {
		case reflect.DeepEqual(old, theirs) || reflect.DeepEqual(ours, theirs):
		case reflect.DeepEqual(old, ours):
			reflect.ValueOf(ours).Elem().Set(reflect.ValueOf(theirs).Elem())
		default:
			return now, fault.New(fault.ChangedElsewhere, f.name, says(theirs), says(ours))
		}
	}
	return now, nil
}

// says writes a value for a sentence.
func says(value any) string {
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
