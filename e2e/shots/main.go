// Command shots takes the pictures of the main views from the demo's data:
//
//	shots FOLDER
package main

import (
	"bufio"
	"context"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"time"

	"inktally/e2e/browser"

	"github.com/chromedp/chromedp"
)

// views are the pictures: what is opened, and a text that tells that it is
// there. The demo's main client is the second, with its home page.
var views = []struct{ name, path, shown string }{
	{"shelf", "/", "Last measured"},
	{"ground", "/clients/2/ground", "Currency"},
	{"site", "/clients/2/site", "Surveyed today"},
	{"overview", "/clients/2/sheet", "words on the site"},
	{"book", "/clients/2/book", "Worth writing for"},
	{"found", "/clients/2/found", "in the first 20"},
	{"standing", "/clients/2/standing", "Get listed in"},
	{"lineup", "/clients/2/lineup", "Lantern Street Sweeps"},
	{"sheet", "/clients/2/pages/2/sheet", "1,455 to write"},
	{"sheet-evidence", "/clients/2/pages/2/sheet?show=phrase&column=1&phrase=chimney%20sweep%20tarn%20harbor",
		"Skip to the text"},
	{"sheet-rule", "/clients/2/pages/2/sheet?show=rule&column=0", "The guideline for a home page"},
	{"targets", "/clients/2/targets", "Remove the placeholder text"},
	{"targets-why", "/clients/2/targets?why=placing", "Gain per hour, which sets the order"},
	{"outline", "/clients/2/outline", "Questions people ask"},
	{"yardstick", "/clients/2/yardstick", "Click-through rate at position 1"},
	{"draft", "/clients/2/draft", "What is wanted here"},
	{"pencilled", "/clients/2/hand-off", "Home page of Brindle"},
	{"plan", "/clients/2/hand-off?document=plan", "Where you stand today"},
	{"walk-through", "/clients/2/walk?step=phrase", "Your page says it once."},
}

func main() {
	if err := run(); err != nil {
		fmt.Fprintln(os.Stderr, "shots:", err)
		os.Exit(1)
	}
}

func run() error {
	if len(os.Args) != 2 {
		return errors.New("give the folder for the pictures")
	}
	dir, err := os.MkdirTemp("", "inktally-shots-")
	if err != nil {
		return err
	}
	defer os.RemoveAll(dir)
	demo := exec.Command("bin/inktally", "demo", "--listen", "127.0.0.1:0", "--data", filepath.Join(dir, "demo.db"))
	demo.Stderr = os.Stderr
	out, err := demo.StdoutPipe()
	if err != nil {
		return err
	}
	if err := demo.Start(); err != nil {
		return err
	}
	defer func() { _ = demo.Process.Kill() }()
	line, err := bufio.NewReader(out).ReadString('\n')
	if err != nil {
		return fmt.Errorf("the demo did not start: %w", err)
	}
	_, base, _ := strings.Cut(strings.TrimSpace(line), "is at ")
	ctx, end, err := browser.Open(context.Background(), nil)
	if err != nil {
		return err
	}
	defer end()
	for _, v := range views {
		if err := shoot(ctx, base+v.path, v.shown, filepath.Join(os.Args[1], v.name+".png")); err != nil {
			return fmt.Errorf("%s: %w", v.name, err)
		}
	}
	return nil
}

func shoot(ctx context.Context, address, shown, file string) error {
	if err := chromedp.Do(ctx, chromedp.Navigate(address)); err != nil {
		return err
	}
	there := fmt.Sprintf(`document.body.innerText.includes(%q) ||
		document.querySelector("[data-document]")?.shadowRoot?.textContent.includes(%[1]q)`, shown)
	for deadline := time.Now().Add(10 * time.Second); ; time.Sleep(50 * time.Millisecond) {
		if ok, err := chromedp.Run(ctx, chromedp.Evaluate[bool](there)); err == nil && ok {
			break
		}
		if time.Now().After(deadline) {
			return errors.New("the view never came")
		}
	}
	painted :=
		`document.fonts.ready.then(() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(() => done(true)))))`
	if _, err := chromedp.Run(ctx, chromedp.Evaluate[bool](painted, chromedp.EvalAwaitPromise)); err != nil {
		return err
	}
	png, err := chromedp.Run(ctx, chromedp.CaptureScreenshot())
	if err != nil {
		return err
	}
	return os.WriteFile(file, png, 0o644)
}
