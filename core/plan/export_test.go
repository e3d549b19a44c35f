package plan

// DrawClient draws a client for tests from outside.
var DrawClient = client
