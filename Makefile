# make demo   builds and starts the program with made-up clients
# make test   types, lint, tests, Go's with the race detector
# make check  what takes longer: the program in a real browser

PORT ?= 8017
BIN := bin/inktally
WEB := internal/server/dist/index.html

.PHONY: demo build release test check lint bench sense api browser compiler agree shots clean lexicon

demo: build
	$(BIN) demo --listen 127.0.0.1:$(PORT)

build: $(WEB)
	go build -o $(BIN) ./cmd/inktally

web/node_modules/.package-lock.json: web/package.json web/package-lock.json
	cd web && npm ci --no-audit --no-fund
	touch $@

$(WEB): web/node_modules/.package-lock.json $(shell find web/src web/public web/index.html web/api.html web/vite.config.ts -type f)
	cd web && npx vite build --logLevel warn
	touch internal/server/dist/.gitkeep $@

# The program for other systems, without a C compiler, with its checksums.
VERSION := $(shell git describe --tags --always --dirty 2>/dev/null || echo unknown)
SYSTEMS := linux/amd64 linux/arm64 darwin/amd64 darwin/arm64 windows/amd64 windows/arm64
release: $(WEB)
	rm -rf dist && mkdir dist
	for s in $(SYSTEMS); do os=$${s%/*} arch=$${s#*/}; ext=; [ $$os = windows ] && ext=.exe; \
	  echo $$os $$arch; \
	  CGO_ENABLED=0 GOOS=$$os GOARCH=$$arch go build -trimpath -ldflags "-s -w -X main.version=$(VERSION)" -o dist/inktally-$$os-$$arch$$ext ./cmd/inktally || exit 1; \
	done
	cd dist && sha256sum inktally-* > SHA256SUMS

# The types of the API are made from its description.
api: web/node_modules/.package-lock.json
	go run ./cmd/inktally openapi > docs/openapi.json
	cd web && npm run --silent api

# staticcheck and revive, in a module of their own (tools/lint); the line limit and the sizes of
# files are held by the tests of internal/shape.
GO := ./core/... ./internal/... ./cmd/... ./e2e/... ./bench/...
bin/revive bin/staticcheck &: tools/lint/go.mod
	cd tools/lint && GOBIN=$(CURDIR)/bin go install tool

lint: web/node_modules/.package-lock.json bin/revive bin/staticcheck
	test -z "$$(gofmt -l core internal cmd e2e bench)"
	go vet $(GO)
	bin/staticcheck $(GO)
	bin/revive -config tools/lint/revive.toml $(GO)
	go run ./cmd/inktally openapi | diff -q - docs/openapi.json || (echo "docs/openapi.json is old: run make api" && false)
	cd web && npm run --silent api -- --silent -o node_modules/.calls && diff -r node_modules/.calls src/api/gen || (echo "web/src/api/gen is old: run make api" && false)
	cd web && npm run --silent check && npm run --silent lint

# Debian's Chromium, for the browser tests.
browser:
	@command -v chromium > /dev/null || { \
	  [ "$$(id -u)" = 0 ] || { echo "The browser tests need Chromium: apt-get install chromium"; exit 1; }; \
	  apt-get update -qq && apt-get install -y -qq --no-install-recommends chromium > /dev/null; }

# The race detector needs a C compiler.
compiler:
	@command -v $$(go env CC) > /dev/null || { \
	  [ "$$(id -u)" = 0 ] || { echo "The race detector needs a C compiler: apt-get install gcc libc6-dev"; exit 1; }; \
	  apt-get update -qq && apt-get install -y -qq --no-install-recommends gcc libc6-dev > /dev/null; }

# SQLite is C that was translated to Go: the race detector finds nothing in it that is ours, and makes each
# statement ten times as slow.
QUIET := $(foreach p,sqlite/lib libc memory,-gcflags=modernc.org/$(p)=-race=false)

# What waits for browsers that hang takes its minutes.
RENDERS := internal/fetch/render

test: build lint browser compiler
	cd web && npm run --silent test
	node docs/golden/plan.mjs
	go test -run EveryRuleHelps ./core/book
	CGO_ENABLED=1 go test -race $(QUIET) $$(go list ./core/... ./internal/... ./cmd/... | grep -v $(RENDERS))

check: build browser compiler sense
	CGO_ENABLED=1 go test -race $(QUIET) ./$(RENDERS)
	go test -count 1 -shuffle on -timeout 25m ./e2e/...

# Reads the plans of eight made-up clients as a consultant would.
sense:
	go test -tags sense -count 1 ./internal/sense

# What things cost as ratios; with PAGES=FOLDER of the saved pages there.
bench: build browser
	go run ./bench $(PAGES)

# How far reading agrees with a browser on a folder of saved pages; with
# RENDERED=-rendered as rendered by the program's browser.
agree: browser
	@go run ./e2e/agree $(RENDERED) $(DIR)

shots: build browser
	go run ./e2e/shots docs/screenshots

clean:
	rm -rf bin data web/node_modules internal/server/dist/*

# The towns and words that ship, made anew from their data sets.
lexicon:
	cd tools/lexicon && npm ci --ignore-scripts --no-audit --no-fund && npm run --silent build
