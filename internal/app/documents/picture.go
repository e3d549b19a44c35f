package documents

import (
	"bytes"
	"encoding/base64"
	"image"
	_ "image/jpeg" // the pictures that are taken
	_ "image/png"
)

// pictureSide bounds the sides of a picture.
const pictureSide = 6000

// pictureOf reads a picture that was handed over in base64, PNG or JPEG of at most so many bytes; nil for none.
func pictureOf(encoded string, most int) ([]byte, error) {
	raw, err := base64.StdEncoding.DecodeString(encoded)
	switch {
	case err != nil:
		return nil, PictureBad.New()
	case len(raw) == 0:
		return nil, nil
	case len(raw) > most:
		return nil, PictureLarge.New(most >> 10)
	}
	is, _, err := image.DecodeConfig(bytes.NewReader(raw))
	if err != nil || min(is.Width, is.Height) < 1 || max(is.Width, is.Height) > pictureSide {
		return nil, PictureBad.New()
	}
	return raw, nil
}
