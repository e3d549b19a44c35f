module inktally

go 1.26.8

require (
	github.com/abadojack/whatlanggo v1.0.1
	github.com/andybalholm/cascadia v1.3.5
	github.com/clipperhouse/uax29/v2 v2.7.0
	github.com/kljensen/snowball v0.10.0
	github.com/spf13/cobra v1.10.2
	github.com/stretchr/testify v1.12.1
	github.com/tdewolff/parse/v2 v2.8.20
	golang.org/x/net v0.62.0
	golang.org/x/text v0.43.0
	pgregory.net/rapid v1.3.0
)

require (
	github.com/chromedp/cdproto v0.159.0 // indirect
	github.com/chromedp/chromedp v0.23.0 // indirect
	github.com/go-json-experiment/json v0.0.0-20260213210345-44df1a37e875 // indirect
	github.com/inconshreveable/mousetrap v1.1.0 // indirect
	github.com/spf13/pflag v1.0.10 // indirect
	go.yaml.in/yaml/v3 v3.0.5 // indirect
)

ignore ./web/node_modules
