package main

import (
	"context"
	"crypto/rand"
	"encoding/hex"
	"errors"
	"net"

	"inktally/internal/server/gate"
	"inktally/internal/store"
	"inktally/internal/store/workspace"
)

// tokenSetting is where the sum of the token is kept.
const tokenSetting = "token"

// token returns the sum of what whoever asks must have, nil where only this machine can reach the
// program; with the token itself when it is made.
func (s *instance) token(ctx context.Context, db *store.DB) (sum []byte, token string, err error) {
	if onlyHere(s.address) && !s.newToken {
		return nil, "", nil
	}
	err = db.Write(ctx, func(tx *store.Tx) error {
		kept, err := workspace.Setting(tx, tokenSetting)
		if err != nil && !errors.Is(err, store.ErrNotFound) {
			return err
		}
		if sum, err = hex.DecodeString(kept); err == nil && len(sum) > 0 && !s.newToken {
			return nil
		}
		token = rand.Text()
		sum = gate.Sum(token)
		return workspace.SetSetting(tx, tokenSetting, hex.EncodeToString(sum))
	})
	return sum, token, err
}

// onlyHere reports whether no other machine can reach an address.
func onlyHere(address string) bool {
	host, _, err := net.SplitHostPort(address)
	if err != nil {
		return false
	}
	ip := net.ParseIP(host)
	return host == "localhost" || ip != nil && ip.IsLoopback()
}
