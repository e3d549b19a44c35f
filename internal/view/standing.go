package view

// FigureWas is the value that a figure of a site had.
type FigureWas struct {
	Value *float64 `json:"value" doc:"Null where it had none"`
}
