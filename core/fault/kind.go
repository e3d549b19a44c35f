package fault

import (
	"fmt"
	"maps"
	"slices"
)

// registered are the codes of all kinds with the names of their parameters. It is filled while
// packages are set up and not changed afterwards.
var registered = map[Code][]string{}

// Kind is a kind of failure, which the package that meets it defines. What makes a fault of it
// takes as many values as it has parameters.
type Kind struct{ Code Code }

// Kind0 is a kind without parameters.
type Kind0 struct{ Kind }

// Kind1 is a kind with a parameter.
type Kind1 struct{ Kind }

// Kind2 is a kind with two parameters.
type Kind2 struct{ Kind }

// Kind3 is a kind with three parameters.
type Kind3 struct{ Kind }

func define(code Code, params ...string) Kind {
	if _, twice := registered[code]; twice {
		panic("fault: two kinds are called " + string(code))
	}
	registered[code] = params
	return Kind{code}
}

// Define0 defines a kind without parameters.
func Define0(code Code) Kind0 { return Kind0{define(code)} }

// Define1 defines a kind with a parameter, by its name.
func Define1(code Code, a string) Kind1 { return Kind1{define(code, a)} }

// Define2 defines a kind with two parameters.
func Define2(code Code, a, b string) Kind2 { return Kind2{define(code, a, b)} }

// Define3 defines a kind with three parameters.
func Define3(code Code, a, b, c string) Kind3 { return Kind3{define(code, a, b, c)} }

// New makes a fault of the kind.
func (k Kind0) New() *Fault { return k.of() }

// New makes a fault of the kind.
func (k Kind1) New(a any) *Fault { return k.of(a) }

// New makes a fault of the kind.
func (k Kind2) New(a, b any) *Fault { return k.of(a, b) }

// New makes a fault of the kind.
func (k Kind3) New(a, b, c any) *Fault { return k.of(a, b, c) }

func (k Kind) of(values ...any) *Fault {
	f := &Fault{Code: k.Code, Params: map[string]string{}}
	for i, name := range registered[k.Code] {
		f.Params[name] = short(fmt.Sprint(values[i]))
	}
	return f
}

// Is reports whether an error is a fault of the kind.
func (k Kind) Is(err error) bool { return Is(err, k.Code) }

// Is reports whether an error is a fault of a code.
func Is(err error, code Code) bool {
	f, ok := Of(err)
	return ok && f.Code == code
}

// Codes returns the codes of all kinds, sorted.
func Codes() []Code { return slices.Sorted(maps.Keys(registered)) }

// Params returns the names of a code's parameters.
func Params(code Code) []string { return registered[code] }
