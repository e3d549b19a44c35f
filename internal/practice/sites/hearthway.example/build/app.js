const { make, get } = window.hw
const { state, town, call } = window.__branch

function bar(page) {
	const entries = page.menu.map((m) =>
		make('li', { class: 'bar__entry' }, make('a', { href: m.to }, m.label),
			m.below ? make('ul', { class: 'bar__fold' }, m.below.map((b) => make('li', {}, make('a', { href: b.to }, b.label)))) : null))
	return make('div', { class: 'bar', role: 'banner' },
		make('a', { href: '/', class: 'bar__mark' }, make('img', { src: '/media/hw_mark_0f9a31c7d2.svg', width: '140', height: '40', alt: 'Hearthway National' })),
		make('div', { role: 'navigation' }, make('ul', { class: 'bar__list' }, entries)),
		make('a', { class: 'bar__call', href: 'tel:' + call }, call))
}

function section(part) {
	return make('section', { class: 'part part--' + part.kind },
		make('h2', {}, part.head),
		part.text.map((t) => make('p', {}, t)),
		part.list ? make('ul', {}, part.list.map((t) => make('li', {}, t))) : null,
		part.image ? make('img', { src: part.image, loading: 'lazy' }) : null,
		part.quote ? make('blockquote', {}, make('p', {}, part.quote), make('cite', {}, part.by)) : null,
		part.more ? make('div', { class: 'fold' }, make('button', { type: 'button' }, 'Read more'), make('div', { class: 'fold__body' }, part.more.map((t) => make('p', {}, t)))) : null)
}

get('/content/' + state + '/' + town + '.json').then((page) => {
	document.title = page.title
	const description = make('meta', { name: 'description', content: page.description })
	document.head.append(description)
	document.getElementById('app').append(
		bar(page),
		make('div', { role: 'main' }, make('div', { class: 'cover' }, make('h1', {}, page.head), make('p', {}, page.lead)), page.parts.map(section)),
		make('div', { class: 'foot', role: 'contentinfo' }, make('p', {}, page.foot), make('p', {}, make('a', { href: '/offers' }, 'Offers'), ' ', make('a', { href: '/' }, 'All branches'))))
})
