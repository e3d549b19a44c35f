// Package described reads the API's own description, as far as trials follow it that send requests of all kinds.
package described

import (
	"encoding/json"
	"slices"
	"strings"
)

// API is the description: its operations by path and method.
type API struct {
	Paths      map[string]map[string]Operation
	Components struct{ Schemas map[string]Schema }
}

// Operation is what may be asked.
type Operation struct {
	OperationID string
	Parameters  []struct {
		Name, In string
		Schema   Schema
	}
	RequestBody struct {
		Content map[string]struct{ Schema Schema }
	}

	// Method and Path are where it stands in the description.
	Method, Path string `json:"-"`
}

// Schema is the shape of a value.
type Schema struct {
	Ref        string `json:"$ref"`
	Type       any    // a name, or a list of them
	Enum       []any
	Properties map[string]Schema
	Required   []string
	Items      *Schema
	MinItems   int
}

// Read reads a description in JSON.
func Read(raw []byte) (d API, err error) { return d, json.Unmarshal(raw, &d) }

// Operations returns all but those that go on as long as somebody listens, by path and method.
func (d API) Operations() (list []Operation) {
	for path, of := range d.Paths {
		for method, o := range of {
			if !strings.HasSuffix(path, "/progress") {
				o.Method, o.Path = strings.ToUpper(method), path
				list = append(list, o)
			}
		}
	}
	slices.SortFunc(list, func(a, b Operation) int { return strings.Compare(a.Path+a.Method, b.Path+b.Method) })
	return list
}

// Resolve returns the schema that one refers to, itself where it refers to none.
func (d API) Resolve(s Schema) Schema {
	if s.Ref != "" {
		return d.Components.Schemas[s.Ref[strings.LastIndexByte(s.Ref, '/')+1:]]
	}
	return s
}

// Kinds returns the types that a value of a schema may have.
func (s Schema) Kinds() []any {
	if kinds, ok := s.Type.([]any); ok {
		return kinds
	}
	return []any{s.Type}
}
