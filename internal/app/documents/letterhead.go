package documents

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"image"
	"slices"

	"inktally/internal/paper"
	"inktally/internal/store"
	"inktally/internal/store/workspace"
	"inktally/internal/view/told"
)

// letterhead is the name of the setting that has the letterhead of all documents.
const letterhead = "letterhead"

// head is a letterhead as it is kept.
type head struct {
	Name      string `json:"name,omitempty"`
	Signature string `json:"signature,omitempty"`
	Footer    string `json:"footer,omitempty"`
	Logo      []byte `json:"logo,omitempty"`
	Size      string `json:"size,omitempty"`
	Tone      string `json:"tone,omitempty"`
}

// logoBytes bounds a logo, headText the texts of a letterhead.
const logoBytes, headText = 300 << 10, 600

// Letterhead returns what all documents are headed by: nothing until it is set, on Letter paper.
func (h *Handoff) Letterhead(ctx context.Context) (paper.Letterhead, error) {
	var kept head
	err := h.Plan.DB.Read(ctx, func(tx *store.Tx) error {
		raw, err := workspace.Setting(tx, letterhead)
		if err != nil {
			return err
		}
		return json.Unmarshal([]byte(raw), &kept)
	})
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return paper.Letterhead{}, err
	}
	out := paper.Letterhead{Name: kept.Name, Signature: kept.Signature, Footer: kept.Footer, Logo: kept.Logo,
		Size: paper.Letter, Tone: paper.Ink}
	if slices.Contains(paper.Sizes(), paper.Size(kept.Size)) {
		out.Size = paper.Size(kept.Size)
	}
	if slices.Contains(paper.Tones(), paper.Tone(kept.Tone)) {
		out.Tone = paper.Tone(kept.Tone)
	}
	if cfg, _, err := image.DecodeConfig(bytes.NewReader(kept.Logo)); err == nil {
		out.Wide, out.High = cfg.Width, cfg.Height
	} else {
		out.Logo = nil
	}
	return out, nil
}

// SetLetterhead keeps what all documents are headed by.
func (h *Handoff) SetLetterhead(ctx context.Context, l told.Letterhead) (paper.Letterhead, error) {
	logo, err := pictureOf(l.Logo, logoBytes)
	if err != nil {
		return paper.Letterhead{}, err
	}
	raw, err := json.Marshal(head{Name: short(l.Name, headText), Signature: short(l.Signature, headText),
		Footer: short(l.Footer, headText), Logo: logo, Size: string(l.Size), Tone: string(l.Tone)})
	if err != nil {
		return paper.Letterhead{}, err
	}
	err = h.Plan.DB.Write(ctx, func(tx *store.Tx) error { return workspace.SetSetting(tx, letterhead, string(raw)) })
	if err != nil {
		return paper.Letterhead{}, err
	}
	return h.Letterhead(ctx)
}
