// Keeps the handbook for when there is no network: its own page, made without people or jobs, and the programs, styles and fonts it names, whose
// addresses change with every version. Of a shop it keeps only the Build pages that this screen was at work on, until somebody signs out.
const PAGE = '/handbook/kept';
const PREFIX = 'gravelwort-handbook-';

/** Everything of the program that a page or a style sheet names. */
const named = (text) => [...new Set(text.match(/\/_next\/static\/[^"'\\)\s]+/g) ?? [])];

/** Parts of the program that another part fetches only when they are asked for. */
const later = (program) =>
  [...new Set(program.match(/static\/chunks\/[^"'\\)\s]+\.(?:js|css)/g) ?? [])].map((path) => `/_next/${path}`);

const BUILD = 'gravelwort-build';
const BUILD_PAGE = /^\/jobs\/[0-9a-f-]{36}\/build$/;
/** Jobs kept at once: a tablet is at one vehicle, or at two. */
const MOST_BUILDS = 4;

/** A Build page with everything of the program it names, so that it opens again without a network. */
async function keepBuild(path) {
  const page = await fetch(path, { cache: 'no-store' });
  // Led to the door, or refused: nothing to keep.
  if (!page.ok || page.redirected) return;
  const cache = await caches.open(BUILD);
  const files = named(await page.clone().text());
  await Promise.all(files.map((file) => putFile(cache, file)));
  await cache.delete(path);
  await cache.put(path, page);
  const kept = (await cache.keys()).filter((r) => BUILD_PAGE.test(new URL(r.url).pathname));
  await Promise.all(kept.slice(0, Math.max(0, kept.length - MOST_BUILDS)).map((r) => cache.delete(r)));
}

/** A file of the program with what it names in turn. */
async function putFile(cache, path) {
  if (await cache.match(path)) return;
  const file = await fetch(path);
  if (!file.ok) throw new Error(`${path} answered ${file.status}`);
  // A style sheet names its fonts, beside itself or from the root.
  if (path.includes('.css')) {
    const styles = await file.clone().text();
    const fonts = [...styles.matchAll(/url\(["']?([^"')]+\.woff2?)/g)].map(
      (m) => new URL(m[1], new URL(path, location.href)).pathname,
    );
    await Promise.all([...new Set(fonts)].map((font) => putFile(cache, font)));
  }
  const program = path.endsWith('.js') ? await file.clone().text() : '';
  await cache.put(path, file);
  await Promise.all(later(program).map((part) => putFile(cache, part)));
}

self.addEventListener('message', (event) => {
  const { keep: path, forget } = event.data ?? {};
  if (typeof path === 'string' && BUILD_PAGE.test(path))
    event.waitUntil(
      keepBuild(path).then(
        () => event.source?.postMessage({ kept: path }),
        () => undefined,
      ),
    );
  if (forget === true) event.waitUntil(caches.delete(BUILD));
});

/** The newest version whole, or none of it: the last one stays until then. */
async function keep() {
  const page = await fetch(PAGE, { cache: 'no-store' });
  if (!page.ok) throw new Error(`the handbook answered ${page.status}`);
  const html = await page.clone().text();
  const files = named(html);
  const version = `${PREFIX}${files.toSorted().join('|').length}-${await fingerprint(files.toSorted().join('|'))}`;
  const cache = await caches.open(version);
  await Promise.all(files.map((path) => putFile(cache, path)));
  await cache.put(PAGE, page);
  for (const old of await caches.keys()) if (old.startsWith(PREFIX) && old !== version) await caches.delete(old);
}

async function fingerprint(text) {
  const bytes = new Uint8Array(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text)));
  return [...bytes.slice(0, 8)].map((b) => b.toString(16).padStart(2, '0')).join('');
}

self.addEventListener('install', (event) => event.waitUntil(keep().then(() => self.skipWaiting())));
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.method !== 'GET') return;
  const url = new URL(request.url);
  if (url.origin !== location.origin) return;
  if (url.pathname.startsWith('/_next/static/')) {
    // Never changes under its address. A solver's program reads what it is from the end of its own address, which an answer of the cache has lost: one
    // made anew has the address that was asked for.
    event.respondWith(
      caches.match(request, { ignoreVary: true }).then((kept) => {
        if (!kept) return fetch(request);
        return request.destination === 'worker' ? new Response(kept.body, { headers: kept.headers }) : kept;
      }),
    );
    return;
  }
  if (request.mode !== 'navigate') return;
  event.respondWith(
    fetch(request).then(
      (answer) => {
        // A new version is fetched behind a page that came.
        if (url.pathname === '/handbook') event.waitUntil(keep().catch(() => undefined));
        return answer;
      },
      async () => {
        const build =
          BUILD_PAGE.test(url.pathname) && (await caches.match(url.pathname, { cacheName: BUILD, ignoreVary: true }));
        if (build) return build;
        if (url.pathname !== '/handbook') return Response.redirect('/handbook#unreached', 302);
        return (await caches.match(PAGE)) ?? Response.error();
      },
    ),
  );
});
