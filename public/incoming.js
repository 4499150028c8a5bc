// Part of the service worker: a bench file that another app shares is kept until its page has read it.
self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url)
  if (event.request.method !== 'POST' || url.pathname !== '/incoming') return
  event.respondWith(
    (async () => {
      const file = (await event.request.formData()).get('bench')
      if (file instanceof File) {
        const cache = await caches.open('paste-incoming')
        await cache.put('/incoming-file', new Response(file, { headers: { 'X-Name': encodeURIComponent(file.name) } }))
      }
      return Response.redirect('/incoming', 303)
    })(),
  )
})
