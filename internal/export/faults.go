package export

import "inktally/core/fault"

// The failures that a person is told of.
var (
	YardstickNotYAML  = fault.Define0("yardstick_not_yaml")
	YardstickTooLarge = fault.Define1("yardstick_too_large", "kb")
)
