package spool

import (
	"io"

	"github.com/gin-gonic/gin"
)

// Answer puts down what is answered to a request, until it is sent.
type Answer struct {
	gin.ResponseWriter // that it is sent to: its status and header are set at once
	put                Spool
}

// Hold makes the answer of a request one that is put down. Release gives the request its own writer back.
func Hold(c *gin.Context) *Answer {
	a := &Answer{ResponseWriter: c.Writer}
	c.Writer = a
	return a
}

// Release gives the request its own writer back, and lets go of what was put down.
func (a *Answer) Release(c *gin.Context) {
	c.Writer = a.ResponseWriter
	_ = a.put.Close()
}

// Send sends what was put down.
func (a *Answer) Send() error {
	if a.put.Len() == 0 {
		return nil // its status is sent with the end of the request
	}
	_, err := io.Copy(a.ResponseWriter, a.put.Reader())
	return err
}

func (a *Answer) Write(p []byte) (int, error) { return a.put.Write(p) }

// WriteString writes a text.
func (a *Answer) WriteString(text string) (int, error) { return a.put.Write([]byte(text)) }

// WriteHeaderNow sends nothing: what was put down comes first.
func (a *Answer) WriteHeaderNow() {}

// Flush sends nothing either.
func (a *Answer) Flush() {}

// Written reports whether anything was answered.
func (a *Answer) Written() bool { return a.put.Len() > 0 }

// Size returns how much was answered, in bytes.
func (a *Answer) Size() int { return int(a.put.Len()) }
