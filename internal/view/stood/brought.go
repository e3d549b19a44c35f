package stood

// FigureTyped is a figure as a person types it.
type FigureTyped struct {
	FigureOf
	Value   *float64 `json:"value" minimum:"0" maximum:"1000000000000" doc:"Null forgets the newest"`
	Source  string   `json:"source" required:"false" maxLength:"200"`
	TakenOn string   `json:"taken_on" required:"false" maxLength:"10" doc:"A day, such as 2026-11-26; empty is today"`
}

// FactTyped is a fact of a map profile as a person types it.
type FactTyped struct {
	Field ProfileField `json:"field"`
	Value *string      `json:"value" maxLength:"1000" doc:"Empty for what is known to be missing, null for what is not known"`
}

// FigureFile is a file or a text that was brought, as it is understood before anything of it is kept.
type FigureFile struct {
	Tables []FigureTable  `json:"tables"`
	Sites  []StandingSite `json:"sites" doc:"Those that it can be of"`
	// Use is the place of the table that has most that is known.
	Use int `json:"use" doc:"Which of the tables is likely meant"`
}

// FigureTable is a table of a file.
type FigureTable struct {
	Name     string          `json:"name"`
	Kind     TableKind       `json:"kind"`
	Rows     [][]string      `json:"rows" doc:"The first of them, from the heading on"`
	Total    int             `json:"total" doc:"How many rows there are below the heading"`
	Columns  []ColumnCode    `json:"columns" doc:"What each column has; of facts of one business what each row has"`
	Heading  int             `json:"heading" doc:"The place of the row that names the columns, -1 for none"`
	Site     string          `json:"site" doc:"Whose it likely is, empty where its rows say so or nothing does"`
	NeedSite bool            `json:"need_site" doc:"Whether a person has to say whose it is"`
	Finds    string          `json:"finds" doc:"What would be kept, in words"`
	LeftOut  []RowLeftOut    `json:"left_out" doc:"The first rows that would be left out"`
	LeftN    int             `json:"left_n" doc:"How many would be left out"`
	Choices  []ColumnChoices `json:"choices" doc:"What columns can have, by kind"`
}

// ColumnChoices are what the columns of a kind of table can have.
type ColumnChoices struct {
	Kind    TableKind     `json:"kind"`
	Name    string        `json:"name"`
	Columns []NamedColumn `json:"columns"`
}

// NamedColumn is a code with its words.
type NamedColumn struct {
	Code ColumnCode `json:"code"`
	Name string     `json:"name"`
}

// RowLeftOut is a row that nothing is taken from.
type RowLeftOut struct {
	Line int    `json:"line" doc:"From 1, the heading among them"`
	Text string `json:"text"`
	Why  string `json:"why"`
}

// FigureLayout is how a table is read, as a person says.
type FigureLayout struct {
	Table   int          `json:"table" minimum:"0" doc:"Which of the file's tables"`
	Kind    TableKind    `json:"kind"`
	Heading int          `json:"heading" minimum:"-1"`
	Columns []ColumnCode `json:"columns" maxItems:"200"`
	Site    string       `json:"site" maxLength:"255" doc:"Whose it is where its rows do not say"`
	Source  string       `json:"source" maxLength:"200" doc:"Who says so; the file's name where it is empty"`
	TakenOn string       `json:"taken_on" maxLength:"10" doc:"A day; empty is today, or that of the row"`
}

// FiguresKept is what became of a table.
type FiguresKept struct {
	Says     string       `json:"says" doc:"What was kept, in words"`
	LeftOut  []RowLeftOut `json:"left_out" doc:"The first rows that were left out"`
	LeftN    int          `json:"left_n"`
	Import   int64        `json:"import" doc:"What takes it back; 0 if nothing was kept"`
	Standing *Standing    `json:"standing"`
}
