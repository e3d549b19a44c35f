// Hands the page of this tab over to the program, as it is shown, and to nobody
// else: a tab of the program is opened, says that it is ready, and gets the page.
(() => {
	const to = '__ORIGIN__'
	const tab = window.open(to + '/receive', '_blank')
	if (!tab) return alert('The tab of Ink Tally could not be opened. Allow pop-ups for this page and press the bookmark again.')
	const ready = (event) => {
		if (event.origin !== to || event.source !== tab || !event.data || event.data.inktally !== 'ready') return
		removeEventListener('message', ready)
		tab.postMessage({ inktally: 'page', nonce: event.data.nonce, key: '__KEY__', ...page() }, to)
	}
	addEventListener('message', ready)

	function page() {
		const about = { url: location.href, title: document.title }
		if (!document.body || (location.protocol === 'about:' && !document.body.childElementCount)) return { ...about, blank: true }
		const size = (text) => new Blob([text]).size
		let bytes = size(document.documentElement.outerHTML)
		if (bytes > __MOST__) return { ...about, bytes }
		const taken = __TAKEDOWN__
		bytes = size(taken.html)
		return bytes > __MOST__ ? { ...about, bytes } : { ...about, url: taken.url, html: taken.html }
	}
})()
