package site

// Like tells whether a rival's page, by its address, is comparable with a page
// of a kind: a service page is not measured by home pages (rule 6.3).
func Like(kind Kind, rivalURL string) bool { return kind == Home || Slug(rivalURL) != "" }
