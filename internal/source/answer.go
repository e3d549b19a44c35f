package source

import (
	"encoding/json"
	"io"
	"net/http"
)

// answered sends a question to a source and decodes its answer. found is false
// if the source knows nothing of it (404). The errors are faults.
func answered(req *http.Request, source string, into any) (found bool, err error) {
	resp, err := http.DefaultClient.Do(req)
	if err != nil {
		return false, SourceSilent.New(source).Because(err)
	}
	defer resp.Body.Close()
	switch resp.StatusCode {
	case http.StatusOK:
	case http.StatusNotFound:
		return false, nil
	default:
		return false, SourceAnswered.New(source, resp.StatusCode)
	}
	if err := json.NewDecoder(io.LimitReader(resp.Body, maxAnswer)).Decode(into); err != nil {
		return false, SourceUnreadable.New(source).Because(err)
	}
	return true, nil
}
