// Package merge holds an edit against what was changed elsewhere since it began. What only
// one side changed is taken from that side; where both changed one thing in two ways the edit
// is refused with both values, and whoever typed it decides.
package merge

import (
	"reflect"
	"slices"
	"strings"

	"inktally/core/fault"
)

// Merge returns what becomes of one thing: what it was when an edit began, what it is by now, and
// what the edit makes of it. says writes a value for the sentence of the fault.
func Merge[T any](thing fault.Thing, was, is, want T, written func(T) string) (T, error) {
	switch {
	case same(was, is) || same(want, is):
		return want, nil
	case same(was, want):
		return is, nil
	}
	return is, ChangedElsewhere.New(thing, written(is), written(want))
}

// Keys merges what is kept by keys, each key by itself; the first that both changed is the fault.
func Keys[T any](was, is, want map[string]T, merge func(key string, was, is, want T) (T, error)) (map[string]T, error) {
	out := map[string]T{}
	for _, key := range keys(was, is, want) {
		value, err := merge(key, was[key], is[key], want[key])
		if err != nil {
			return nil, err
		}
		out[key] = value
	}
	return out, nil
}

// List merges a list of words: what the edit adds and takes away is added to and taken from what
// is there by now, so two who change different words are never told of each other.
func List(before, is, want []string) []string {
	if slices.Equal(before, is) {
		return want
	}
	out := slices.DeleteFunc(slices.Clone(is), func(w string) bool {
		return slices.Contains(before, w) && !slices.Contains(want, w)
	})
	for _, w := range want {
		if !slices.Contains(before, w) && !slices.Contains(out, w) {
			out = append(out, w)
		}
	}
	return out
}

// Text returns a value that says itself.
func Text(s string) string { return s }

// Texts writes a list.
func Texts(list []string) string { return strings.Join(list, "; ") }

// same compares values; nothing and an empty list are the same.
func same(a, b any) bool {
	x, y := reflect.Indirect(reflect.ValueOf(a)), reflect.Indirect(reflect.ValueOf(b))
	if x.Kind() == reflect.Slice && y.Kind() == reflect.Slice && x.Len() == 0 && y.Len() == 0 {
		return true
	}
	return reflect.DeepEqual(a, b)
}

// keys returns those of all maps, in order.
func keys[T any](maps ...map[string]T) (out []string) {
	for _, m := range maps {
		for key := range m {
			out = append(out, key)
		}
	}
	slices.Sort(out)
	return slices.Compact(out)
}
