// Package structured reads what a page says of businesses in structured data:
// JSON-LD and microdata.
package structured

import (
	"encoding/json"
	"maps"
	"slices"
	"strconv"
	"strings"

	"inktally/core/text"

	"golang.org/x/net/html"
)

// Business is what structured data says of a business.
type Business struct {
	Type    string
	Name    string
	Phone   string
	Address string
	Hours   []string
	// Areas are the areas served.
	Areas []string
	// Profiles are its addresses on other sites.
	Profiles []string
}

const (
	maxDataDepth  = 8   // how deep structured data is looked into
	maxBusinesses = 100 // of a page that are told
)

// Read reads the businesses of a page, each once: of its JSON-LD scripts and of
// its outermost items of microdata. label is the text of an element.
func Read(scripts []string, items []*html.Node, label func(*html.Node) string) []Business {
	out := []Business{}
	add := func(list []Business) {
		for _, b := range list {
			if len(out) < maxBusinesses && !hasBusiness(out, b) {
				out = append(out, b)
			}
		}
	}
	var pieces []any
	for _, raw := range scripts {
		var v any
		if json.Unmarshal([]byte(raw), &v) == nil {
			pieces = append(pieces, v)
		}
	}
	d := data{named: map[string]map[string]any{}, entered: map[string]bool{}}
	d.name(pieces, 0)
	add(d.businesses(pieces, 0))
	for _, n := range items {
		add(d.businesses(microdata{label}.item(n, 0), 0))
	}
	return out
}

func hasBusiness(list []Business, b Business) bool {
	for _, have := range list {
		if have.Name == b.Name && have.Phone == b.Phone && have.Address == b.Address {
			return true
		}
	}
	return false
}

// data is structured data whose parts refer to one another by their @id.
type data struct {
	named   map[string]map[string]any
	entered map[string]bool // references that were looked into for businesses
}

// name gathers the parts that others may refer to; the first of a name counts.
func (d data) name(v any, depth int) {
	if depth > maxDataDepth {
		return
	}
	switch v := v.(type) {
	case []any:
		for _, x := range v {
			d.name(x, depth+1)
		}
	case map[string]any:
		if id, ok := v["@id"].(string); ok && len(v) > 1 && d.named[id] == nil {
			d.named[id] = v
		}
		for _, key := range slices.Sorted(maps.Keys(v)) {
			d.name(v[key], depth+1)
		}
	}
}

// part returns a value itself if only its @id stands.
func (d data) part(v any) (part any, id string) {
	if o, ok := v.(map[string]any); ok && len(o) == 1 {
		if id, ok := o["@id"].(string); ok && d.named[id] != nil {
			return d.named[id], id
		}
	}
	return v, ""
}

// parts returns a value as a list of its parts.
func (d data) parts(v any) []any {
	list, ok := v.([]any)
	if !ok {
		list = []any{v}
	}
	out := make([]any, len(list))
	for i, x := range list {
		out[i], _ = d.part(x)
	}
	return out
}

// holdsBusiness are the properties under which a business may stand within
// something else.
var holdsBusiness = []string{"@graph", "mainEntity", "provider", "publisher", "about", "itemListElement", "item"}

// businesses reads the businesses of one piece of structured data.
func (d data) businesses(v any, depth int) (out []Business) {
	if depth > maxDataDepth {
		return nil
	}
	v, id := d.part(v)
	if id != "" && d.entered[id] {
		return nil
	}
	d.entered[id] = true
	switch v := v.(type) {
	case []any:
		for _, x := range v {
			out = append(out, d.businesses(x, depth+1)...)
		}
	case map[string]any:
		if b, ok := d.businessOf(v); ok {
			return []Business{b}
		}
		for _, key := range holdsBusiness {
			out = append(out, d.businesses(v[key], depth+1)...)
		}
	}
	return out
}

// businessOf reads an object that has a name and the phone or the address of a
// business.
func (d data) businessOf(o map[string]any) (Business, bool) {
	b := Business{Type: textOf(o["@type"]), Name: textOf(o["name"]),
		Phone:   strings.TrimPrefix(textOf(o["telephone"]), "tel:"),
		Address: postal(d.parts(o["address"])), Hours: texts(o["openingHours"]), Areas: texts(d.parts(o["areaServed"])),
		Profiles: texts(o["sameAs"])}
	b.Hours = append(b.Hours, hours(d.parts(o["openingHoursSpecification"]))...)
	return b, b.Name != "" && (b.Phone != "" || b.Address != "")
}

// postal returns the first of some addresses in one line.
func postal(list []any) string {
	if len(list) == 0 {
		return ""
	}
	a, ok := list[0].(map[string]any)
	if !ok {
		return textOf(list[0])
	}
	var parts []string
	region := strings.TrimSpace(textOf(a["addressRegion"]) + " " + textOf(a["postalCode"]))
	for _, s := range []string{textOf(a["streetAddress"]), textOf(a["addressLocality"]), region} {
		if s != "" {
			parts = append(parts, s)
		}
	}
	return strings.Join(parts, ", ")
}

// hours reads opening hours that are given as objects: "Monday, Tuesday
// 08:00-17:00".
func hours(list []any) (out []string) {
	for _, x := range list {
		o, ok := x.(map[string]any)
		if !ok {
			continue
		}
		days := texts(o["dayOfWeek"])
		for i, d := range days {
			days[i] = d[strings.LastIndexByte(d, '/')+1:]
		}
		opens, closes := textOf(o["opens"]), textOf(o["closes"])
		if opens != "" || closes != "" {
			out = append(out, strings.TrimSpace(strings.Join(days, ", ")+" "+opens+"-"+closes))
		}
	}
	return out
}

// textOf returns a value of structured data as text; of an object its name, of a
// list its first.
func textOf(v any) string {
	switch v := v.(type) {
	case string:
		return text.Collapse(v)
	case float64:
		return strconv.FormatFloat(v, 'f', -1, 64)
	case []any:
		if len(v) > 0 {
			return textOf(v[0])
		}
	case map[string]any:
		return textOf(v["name"])
	}
	return ""
}

func texts(v any) []string {
	list, ok := v.([]any)
	if !ok {
		list = []any{v}
	}
	out := []string{}
	for _, x := range list {
		if s := textOf(x); s != "" {
			out = append(out, s)
		}
	}
	return out
}
