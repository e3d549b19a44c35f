package source

import (
	"encoding/json"
	"fmt"
	"io"
	"net/http"
)

// answered sends a question to a source and decodes its answer. found is false
// where the source knows nothing of it (404). The errors are sentences.
func answered(req *http.Request, source string, into any) (found bool, err error) {
	resp, err := http.DefaultClient.Do(req)
	if err != nil {
		return false, fmt.Errorf("the %s source did not answer", source)
	}
	defer resp.Body.Close()
	switch resp.StatusCode {
	case http.StatusOK:
	case http.StatusNotFound:
		return false, nil
	default:
		return false, fmt.Errorf("the %s source answered %d", source, resp.StatusCode)
	}
	if err := json.NewDecoder(io.LimitReader(resp.Body, maxAnswer)).Decode(into); err != nil {
		return false, fmt.Errorf("the %s source gave an answer that cannot be read", source)
	}
	return true, nil
}
