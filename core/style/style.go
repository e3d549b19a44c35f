package style

// Style is the outcome of the cascade for one element: a value for each
// property that is set.
type Style struct {
	// Vars are the custom properties that hold for the element and in it.
	Vars *Vars

	set   [propCount]bool
	value [propCount]uint8
	by    [propCount]uint64
	// raw are the values that hold a var(), backgrounds the addresses of the
	// background images, customs the custom properties that are set here.
	raw         [propCount]string
	backgrounds []string
	customs     map[string]weighed
}

// Display returns the display of the box: own is that of the browser's sheet,
// around that of its parent, whose box may make it a block.
func (st *Style) Display(own, around Display) Display {
	shown := own
	if st.set[propDisplay] {
		shown = Display(st.value[propDisplay])
	}
	switch shown {
	case byBrowser:
		shown = own
	case byParent:
		shown = around
	}
	if shown != None && shown != Contents &&
		(st.value[propFloat] == on || st.value[propPosition] == on || around.Lays()) {
		return shown.Blockified()
	}
	return shown
}

// Invisible reports whether visibility hides it, if that is as around it.
func (st *Style) Invisible(around bool) bool { return st.or(propVisibility, around) }

// KeepsLines reports whether line ends count as such, if they do by default.
func (st *Style) KeepsLines(byDefault bool) bool { return st.or(propWhiteSpace, byDefault) }

// SkipsContent reports whether content-visibility hides what it holds.
func (st *Style) SkipsContent(byDefault bool) bool { return st.or(propContentVisibility, byDefault) }

func (st *Style) or(p property, otherwise bool) bool {
	if !st.set[p] || st.value[p] == inherited {
		return otherwise
	}
	return st.value[p] == on
}

// Backgrounds returns the addresses of its background images; own reports whether
// its style attribute gives them.
func (st *Style) Backgrounds() (addresses []string, own bool) {
	return st.backgrounds, st.by[propBackground]&priorityInline != 0
}

// put sets a property if nothing stronger stands.
func (st *Style) put(d declaration, by uint64) {
	if st.set[d.property] && by < st.by[d.property] {
		return
	}
	st.set[d.property], st.value[d.property], st.by[d.property] = true, d.value, by
	st.raw[d.property] = d.raw
	if d.property == propBackground {
		st.backgrounds = d.addresses
	}
}

// putCustom sets a custom property if nothing stronger stands.
func (st *Style) putCustom(c custom, by uint64) {
	if st.customs == nil {
		st.customs = map[string]weighed{}
	}
	if have, ok := st.customs[c.name]; !ok || by >= have.by {
		st.customs[c.name] = weighed{c.value, by}
	}
}

// weighed is the value of a custom property with its priority.
type weighed struct {
	value string
	by    uint64
}
