// Writes the page down as it is shown: each element says by its style attribute
// how it is displayed where that is not what its tag says, so that no style
// sheet and no script is needed to read it.
(() => {
	const root = document.documentElement
	const defaults = blankPage()
	const marks = [...root.querySelectorAll('*')].map(markOf)
	defaults.close()
	const copy = root.cloneNode(true)
	const elements = [...copy.querySelectorAll('*')]
	// A policy of the page may forbid style attributes, and tell its site of each: they are
	// written under another name, which becomes theirs in the text alone.
	const mark = 'data-' + Math.random().toString(36).slice(2) + '-shown'
	elements.forEach((e, i) => {
		e.removeAttribute('style')
		if (marks[i]) e.setAttribute(mark, marks[i])
	})
	for (const e of elements) if (isDropped(e)) e.remove()
	const doctype = document.compatMode === 'CSS1Compat' ? '<!doctype html>' : ''
	const url = location.href.replace(/#.*$/, '')
	const html = doctype + copy.outerHTML.replaceAll(' ' + mark + '=', ' style=')
	return html.length > 20 << 20 ? { url, html: '', large: true } : { url, html }

	// A page without any style tells how elements are displayed by themselves.
	function blankPage() {
		const frame = document.createElement('iframe')
		frame.style.cssText = 'display:block !important;position:fixed;width:0;height:0;border:0'
		root.append(frame)
		const blank = frame.contentDocument
		const known = new Map()
		return {
			of(e) {
				const name = e.localName
				if (!known.has(name)) {
					const like = blank.body.appendChild(blank.createElementNS(e.namespaceURI, name))
					known.set(name, blank.defaultView.getComputedStyle(like).display)
					like.remove()
				}
				return known.get(name)
			},
			close: () => frame.remove(),
			frame,
		}
	}

	function markOf(e) {
		if (e === defaults.frame) return ''
		const style = getComputedStyle(e)
		const up = e.parentElement ? getComputedStyle(e.parentElement) : null
		const out = []
		if (style.display !== defaults.of(e) || e.matches('[hidden],[popover],dialog')) out.push('display:' + style.display)
		if (up && style.visibility !== up.visibility) out.push('visibility:' + style.visibility)
		if (up && keeps(style) !== keeps(up)) out.push('white-space:' + (keeps(style) ? 'pre' : 'normal'))
		else if (/^(pre|xmp|listing)$/.test(e.localName) && !keeps(style)) out.push('white-space:normal')
		if (style.contentVisibility === 'hidden') out.push('content-visibility:hidden')
		const background = backgroundOf(e, style)
		if (background) out.push('background-image:' + background)
		return out.join(';')
	}

	// Whether line ends in the source are shown.
	function keeps(style) {
		return style.whiteSpaceCollapse ? style.whiteSpaceCollapse !== 'collapse' : style.whiteSpace.startsWith('pre')
	}

	// A background that a style sheet gives to many elements is one image.
	function backgroundOf(e, style) {
		const image = style.backgroundImage
		if (!image.includes('url(')) return ''
		if (!e.style?.backgroundImage && !e.style?.background) {
			backgroundOf.seen ??= new Set()
			if (backgroundOf.seen.has(image)) return ''
			backgroundOf.seen.add(image)
		}
		return image
	}

	function isDropped(e) {
		switch (e.localName) {
			case 'style':
				return true
			case 'link':
				return /\b(stylesheet|preload|modulepreload)\b/i.test(e.rel)
			case 'script':
				return !/^\s*application\/ld\+json\s*$/i.test(e.type)
		}
		return false
	}
})()
