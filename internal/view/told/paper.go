package told

import (
	"encoding/base64"

	"inktally/internal/paper"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2"
)

// Letterhead is what all documents are headed by.
type Letterhead struct {
	Name      string    `json:"name" maxLength:"600" doc:"Of the agency"`
	Signature string    `json:"signature" maxLength:"600" doc:"Below the last line, may have several lines"`
	Footer    string    `json:"footer" maxLength:"600" doc:"At the foot of each page"`
	Logo      string    `json:"logo" maxLength:"600000" doc:"A PNG or JPEG picture in base64, empty for none"`
	Size      PaperSize `json:"size"`
	Tone      PaperTone `json:"tone"`
}

// PaperSize is the size of paper.
type PaperSize string

// Schema lists all sizes.
func (PaperSize) Schema(huma.Registry) *huma.Schema { return view.Enum(paper.Sizes()) }

// PaperTone is the color of headings.
type PaperTone string

// Schema lists all tones.
func (PaperTone) Schema(huma.Registry) *huma.Schema { return view.Enum(paper.Tones()) }

// LetterheadOf shows a letterhead.
func LetterheadOf(l paper.Letterhead) *Letterhead {
	return &Letterhead{Name: l.Name, Signature: l.Signature, Footer: l.Footer,
		Logo: base64.StdEncoding.EncodeToString(l.Logo),
		Size: PaperSize(l.Size), Tone: PaperTone(l.Tone)}
}
