// A handful of helpers that the pages of all branches share.
window.hw = {
	make(tag, attributes, ...children) {
		const element = document.createElement(tag)
		for (const [name, value] of Object.entries(attributes ?? {})) element.setAttribute(name, value)
		element.append(...children.flat().filter((c) => c !== null && c !== undefined))
		return element
	},
	get: (path) => fetch(path).then((answer) => answer.json()),
}
