package intent

// Service is what the client sells, with the words that people use for it.
type Service struct {
	Name string
	// Words are other words for it: chimney cleaning, for a chimney sweep.
	Words []string
	// Worth is what one job brings, 0 if that is not known.
	Worth float64
}

// Forms returns all words for the service, its name first.
func (s Service) Forms() []string { return append([]string{s.Name}, s.Words...) }
