package main

func sheetBench(parse func(), body []byte) {}
func printBundle(dir string)               {}
