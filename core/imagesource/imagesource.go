// Package imagesource reads the addresses and sizes of images as pages give them.
package imagesource

import (
	"net/url"
	"strconv"
	"strings"
)

// Side reads the attribute width or height.
func Side(size string) (float64, bool) {
	if size == "" {
		return 0, false
	}
	n, err := strconv.ParseFloat(strings.TrimSuffix(strings.TrimSpace(size), "px"), 64)
	return n, err == nil
}

// Pixels returns a side for lists, 0 if it is not known.
func Pixels(size string) int {
	if n, ok := Side(size); ok && n >= 1 && n < 1<<16 {
		return int(n)
	}
	return 0
}

// Inline reports whether an address holds the image itself.
func Inline(src string) bool {
	return len(src) >= 5 && strings.EqualFold(src[:5], "data:")
}

// Largest returns the address with the largest descriptor of a srcset.
func Largest(srcset string) string {
	best, bestSize := "", -1.0
	for _, candidate := range splitSrcset(srcset) {
		fields := strings.Fields(candidate)
		if len(fields) == 0 {
			continue
		}
		size := 1.0
		if len(fields) > 1 {
			last := fields[len(fields)-1]
			if n, err := strconv.ParseFloat(strings.TrimRight(last, "wxh"), 64); err == nil {
				size = n
			}
		}
		if size > bestSize && !Inline(fields[0]) {
			best, bestSize = fields[0], size
		}
	}
	return best
}

// splitSrcset splits at the commas that end a candidate: an address may hold
// commas itself, but none before white space.
func splitSrcset(srcset string) []string {
	var out []string
	for srcset = strings.TrimLeft(srcset, " \t\n\r\f,"); srcset != ""; srcset = strings.TrimLeft(srcset, " \t\n\r\f,") {
		end := strings.IndexAny(srcset, " \t\n\r\f")
		if end < 0 {
			return append(out, strings.TrimRight(srcset, ","))
		}
		if strings.HasSuffix(srcset[:end], ",") {
			out = append(out, strings.TrimRight(srcset[:end], ","))
			srcset = srcset[end:]
			continue
		}
		if comma := strings.IndexByte(srcset[end:], ','); comma >= 0 {
			out = append(out, srcset[:end+comma])
			srcset = srcset[end+comma:]
			continue
		}
		return append(out, srcset)
	}
	return out
}

// FileName returns the name of an image by its address, the extension that was
// parted from it, and the size that the name gives, 0 for none (rule 4.1).
func FileName(src string) (name, ext string, width, height int) {
	if at := strings.IndexAny(src, "?#"); at >= 0 {
		src = src[:at]
	}
	name = src[strings.LastIndexByte(src, '/')+1:]
	if decoded, err := url.PathUnescape(name); err == nil {
		name = decoded
	}
	if at := strings.LastIndexByte(name, '.'); at >= 0 && len(name)-at-1 <= 5 && extension(name[at+1:]) {
		name, ext = name[:at], name[at:]
	}
	for {
		at := strings.LastIndexAny(name, "-_@")
		if at <= 0 || !sizeSuffix(name[at], strings.ToLower(name[at+1:])) {
			return strings.TrimSpace(name), ext, width, height
		}
		if w, h, ok := strings.Cut(strings.ToLower(name[at+1:]), "x"); ok && width == 0 && name[at] != '@' {
			width, height = Pixels(w), Pixels(h)
		}
		name = name[:at]
	}
}

func extension(s string) bool {
	for i := range len(s) {
		if c := s[i] | 0x20; (c < 'a' || c > 'z') && (s[i] < '0' || s[i] > '9') {
			return false
		}
	}
	return s != ""
}

// sizeSuffix matches the endings that programs add to the names of resized
// images: -1024x768, @2x, -scaled, _thumb.
func sizeSuffix(sign byte, rest string) bool {
	if sign == '@' {
		return strings.HasSuffix(rest, "x") && number(strings.TrimSuffix(rest, "x"))
	}
	if rest == "scaled" || rest == "thumb" || rest == "thumbnail" {
		return true
	}
	width, height, ok := strings.Cut(rest, "x")
	return ok && len(width) > 1 && number(width) && number(height)
}

func number(s string) bool {
	_, err := strconv.ParseUint(s, 10, 16)
	return err == nil
}
