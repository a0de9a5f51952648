// Part of the service worker, before everything else in it. The application goes by what stands behind the #, so that it
// works from any folder: a typed address such as /stay or /rig/gray-to-black is led there, also without a network.
self.addEventListener('fetch', (event) => {
  if (event.request.mode !== 'navigate' || event.request.method !== 'GET') return
  const scope = new URL(self.registration.scope)
  const asked = new URL(event.request.url)
  if (asked.origin !== scope.origin || !asked.pathname.startsWith(scope.pathname)) return
  const path = asked.pathname.slice(scope.pathname.length)
  const isOwn = path === '' || path === 'index.html' || path.startsWith('api/') || path.startsWith('mqtt')
  if (isOwn || /\.[a-z0-9]+$/i.test(path)) return
  event.stopImmediatePropagation()
  event.respondWith(Response.redirect(`${scope.href}${asked.search}#/${path}`, 302))
})
