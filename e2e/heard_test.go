package e2e

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"inktally/internal/view"

	"github.com/chromedp/cdproto/accessibility"
	"github.com/chromedp/cdproto/dom"
	"github.com/chromedp/cdproto/runtime"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Whoever hears the program gets from the shelf to a target that is kept, and back, by roles and names alone.
func TestPathByRolesAndNames(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open("/")
	s.hears("link", "Brindle & Ash Chimney")
	s.hears("link", "Targets")
	s.heard("treegrid", "Targets")
	s.heard("heading", "Targets")
	s.hears("button", "Keep")
	require.Eventually(t, func() bool {
		kept := 0
		for _, x := range get[view.Plan](t, p, fmt.Sprintf("/api/clients/%d/plan", client)).Targets {
			if x.Choice.State == "kept" {
				kept++
			}
		}
		return kept == 1
	}, time.Minute, 50*time.Millisecond)
	s.heard("StaticText", "Kept: Move the site to https")
	s.hears("link", "Ink Tally: all clients")
	s.heard("heading", "Clients")
	assert.Equal(t, "/", eval[string](s, "location.pathname"))
}

// heard waits until the accessibility tree has a node of a role whose name begins so, and returns it.
func (s *screen) heard(role, name string) *accessibility.Node {
	s.t.Helper()
	var found *accessibility.Node
	require.Eventually(s.t, func() bool {
		tree, err := chromedp.Call(s.ctx, accessibility.GetFullAXTree, accessibility.GetFullAXTreeParams{})
		require.NoError(s.t, err)
		for _, n := range tree.Nodes {
			if !n.Ignored && spoken(n.Role) == role && strings.HasPrefix(spoken(n.Name), name) {
				found = n
				return true
			}
		}
		return false
	}, time.Minute, 100*time.Millisecond, "nobody hears the %s %q", role, name)
	return found
}

func spoken(v *accessibility.Value) (out string) {
	if v != nil {
		_ = json.Unmarshal(v.Value, &out)
	}
	return out
}

// hears does what is done by pressing a node of the accessibility tree.
func (s *screen) hears(role, name string) {
	s.t.Helper()
	node, err := chromedp.Call(s.ctx, dom.ResolveNode,
		dom.ResolveNodeParams{BackendNodeID: s.heard(role, name).BackendDOMNodeID})
	require.NoError(s.t, err)
	_, err = chromedp.Call(s.ctx, runtime.CallFunctionOn, runtime.CallFunctionOnParams{
		FunctionDeclaration: "function () { this.click() }", ObjectID: node.Object.ObjectID})
	require.NoError(s.t, err)
}
