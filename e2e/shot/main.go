// Command shot takes pictures of the running program:
//
//	shot [-width 1280] [-height 800] [-dark] URL FILE [URL FILE]...
package main

import (
	"context"
	"flag"
	"fmt"
	"os"
	"time"

	"inktally/e2e/browser"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
)

func main() {
	width := flag.Int64("width", 1280, "width of the picture")
	height := flag.Int64("height", 800, "height of the picture")
	dark := flag.Bool("dark", false, "ask for the dark theme")
	script := flag.String("script", "", "JavaScript to run before the picture")
	flag.Parse()
	if err := take(flag.Args(), *width, *height, *dark, *script); err != nil {
		fmt.Fprintln(os.Stderr, "shot:", err)
		os.Exit(1)
	}
}

func take(args []string, width, height int64, dark bool, script string) error {
	ctx, end, err := browser.Open(context.Background(), nil)
	if err != nil {
		return err
	}
	defer end()
	if err := chromedp.Do(ctx, chromedp.EmulateViewport(width, height)); err != nil {
		return err
	}
	if dark {
		features := []*emulation.MediaFeature{{Name: "prefers-color-scheme", Value: "dark"}}
		if _, err := chromedp.Call(ctx, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{Features: features}); err != nil {
			return err
		}
	}
	for len(args) >= 2 {
		if err := shoot(ctx, args[0], args[1], script); err != nil {
			return err
		}
		args = args[2:]
	}
	return nil
}

// settled is true when fonts are there and nothing is being loaded.
const settled = `(async () => { await document.fonts.ready; return true })()`

func shoot(ctx context.Context, address, file, script string) error {
	if err := chromedp.Do(ctx, chromedp.Navigate(address)); err != nil {
		return err
	}
	time.Sleep(700 * time.Millisecond)
	if script != "" {
		if _, err := chromedp.Run(ctx, chromedp.Evaluate[any](script)); err != nil {
			return err
		}
		time.Sleep(600 * time.Millisecond)
	}
	if _, err := chromedp.Run(ctx, chromedp.Evaluate[bool](settled, chromedp.EvalAwaitPromise)); err != nil {
		return err
	}
	png, err := chromedp.Run(ctx, chromedp.CaptureScreenshot())
	if err != nil {
		return err
	}
	return os.WriteFile(file, png, 0o644)
}
