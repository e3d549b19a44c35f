package server

import (
	"errors"
	"net/http"
	"slices"
	"strings"

	"inktally/core/fault"
	"inktally/internal/server/gate"
	"inktally/internal/view"
	"inktally/internal/wording"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/validation"
	"github.com/gin-gonic/gin"
)

// statusGivenUp is the status of a request whose asker has left.
const statusGivenUp = 499

// Problem is an answer that something failed (RFC 9457), with the code of the
// failure beside its sentence.
type Problem struct {
	Title  string         `json:"title"`
	Status int            `json:"status"`
	Detail string         `json:"detail" doc:"One or two sentences: what happened, and what to do"`
	Code   view.FaultCode `json:"code" doc:"What failed"`
}

// Error is for logs.
func (p *Problem) Error() string { return string(p.Code) }

// GetStatus returns the HTTP status.
func (p *Problem) GetStatus() int { return p.Status }

// ContentType returns that of problems.
func (p *Problem) ContentType(string) string { return "application/problem+json" }

func problemOf(status int, f *fault.Fault) *Problem {
	return &Problem{Title: http.StatusText(status), Status: status, Detail: wording.Fault(f),
		Code: view.FaultCode(f.Code)}
}

// What the API's library finds wrong with a request is told as a problem too:
// the first entry that does not fit.
func init() {
	huma.NewErrorWithContext = func(ctx huma.Context, status int, message string, errs ...error) huma.StatusError {
		if status == http.StatusRequestEntityTooLarge || strings.Contains(message, gate.ErrTooLarge.Error()) ||
			tooLarge(errs) {
			return problemOf(http.StatusRequestEntityTooLarge, traitsOf(ctx).fault)
		}
		return huma.NewError(status, message, errs...)
	}
	huma.NewError = func(status int, message string, errs ...error) huma.StatusError {
		field, says := "entry", message
		if len(errs) > 0 {
			says = errs[0].Error()
			if detail, ok := errs[0].(huma.ErrorDetailer); ok {
				d := detail.ErrorDetail()
				says = d.Message
				if d.Location != "" {
					field = strings.TrimPrefix(d.Location, "body.")
				}
			}
		}
		return problemOf(status, misfit(field, says))
	}
}

// tooLarge reports whether a form was larger than it may be.
func tooLarge(errs []error) bool {
	return slices.ContainsFunc(errs, func(err error) bool {
		var detail *huma.ErrorDetail
		if errors.As(err, &detail) { // its own text repeats the whole value
			return strings.Contains(detail.Message, gate.ErrTooLarge.Error())
		}
		return err != nil && strings.Contains(err.Error(), gate.ErrTooLarge.Error())
	})
}

// bounds are the messages of the library for entries out of bounds.
var bounds = []struct {
	message string
	kind    fault.Kind2
}{
	{validation.MsgExpectedMaxLength, EntryTooLong},
	{validation.MsgExpectedMaxItems, EntryTooMany},
	{validation.MsgExpectedMaximumNumber, NumberTooLarge},
	{validation.MsgExpectedMinimumNumber, NumberTooSmall},
}

// misfit returns the fault of an entry that the library refuses.
func misfit(field, says string) *fault.Fault {
	for _, b := range bounds {
		before, _, _ := strings.Cut(b.message, "%")
		if limit, ok := strings.CutPrefix(says, before); ok {
			return b.kind.New(field, limit)
		}
	}
	return BadEntry.New(field)
}

// problem answers a request that no operation took.
func problem(c *gin.Context, status int, kind fault.Kind0) {
	c.Header("Content-Type", "application/problem+json")
	c.JSON(status, problemOf(status, kind.New()))
}
