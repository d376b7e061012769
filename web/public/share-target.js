// What the system shares with the app comes as a form: it is kept until the app asks for it.
self.addEventListener('fetch', (event) => {
  const { method, url } = event.request;
  if (method !== 'POST' || new URL(url).pathname !== '/open') return;
  event.respondWith(
    (async () => {
      const form = await event.request.formData();
      const cache = await caches.open('shared-files');
      for (const file of form.getAll('files'))
        if (file instanceof File)
          await cache.put(
            `/shared/${encodeURIComponent(file.name)}`,
            new Response(file, { headers: { 'Content-Type': file.type } }),
          );
      return Response.redirect('/', 303);
    })(),
  );
});
