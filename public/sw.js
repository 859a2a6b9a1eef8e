// Papers that were opened before can be read when the house does not answer: the paper of a box, the lights-out sheet,
// and “Is it on?”. They are kept in this browser alone, say from when they are, and are gone with the logout.
'use strict';

const PAPERS = 'papers';
const STUFF = 'stuff';
const MOST = 200;
const isPaper = (path) => /^\/(boxes\/\d+\/paper|filter\/lights-out|is-it-on)$/.test(path);
const isStuff = (path) => /^\/(css|js|lib|fonts|icons)\//.test(path) || path === '/favicon.svg';
const plain = (text) => text.replace(/[&<>"]/g, (one) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[one]);

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin) { return; }
  if (request.method === 'POST' && pathname === '/logout') {
    event.waitUntil(caches.delete(PAPERS));
    return;
  }
  if (request.method !== 'GET') { return; }
  // While the house answers, styles and scripts are the browser's own affair; so are all pages that are no paper.
  if (isStuff(pathname)) {
    if (away) { event.respondWith(caches.match(request, { cacheName: STUFF }).then((kept) => kept || fetch(request))); }
  } else if (request.mode === 'navigate') {
    event.respondWith(isPaper(pathname) ? paper(event) : page(request));
  }
});

// The house did not answer the last page that was wanted.
let away = false;

// What a paper looks like with: its styles, the fonts that they name, its scripts. The browser has them at hand already.
const keepLooks = async (page) => {
  const looks = [...page.matchAll(/(?:href|src)="(\/(?:css|js|lib|icons|fonts)\/[\w.\/-]+|\/favicon\.svg)"/g)].map((one) => one[1]);
  const cache = await caches.open(STUFF);
  for (const look of looks) {
    const answer = await fetch(look);
    if (!answer.ok) { continue; }
    await cache.put(look, answer.clone());
    if (look.endsWith('/fonts.css')) {
      for (const [, font] of (await answer.text()).matchAll(/url\(["']?(?:\.\.)?(\/fonts\/[\w.\/-]+)["']?\)/g)) { looks.push(font); }
    }
  }
};

const paper = async (event) => {
  const { request } = event;
  const at = new URL(request.url).pathname;
  const cache = await caches.open(PAPERS);
  try {
    const fresh = await fetch(request);
    away = false;
    if (fresh.ok) {
      await cache.put(at, fresh.clone());
      event.waitUntil(fresh.clone().text().then(keepLooks).catch(() => { /* it is read without them */ }));
      const all = await cache.keys();
      await Promise.all(all.slice(0, Math.max(0, all.length - MOST)).map((old) => cache.delete(old)));
    } else if (fresh.type === 'opaqueredirect') {
      // Led elsewhere: the login is over, and so is all that was kept for it.
      await caches.delete(PAPERS);
    }
    return fresh;
  } catch {
    away = true;
    const kept = await cache.match(at);
    if (!kept) { return nothing(cache); }
    const then = new Date(kept.headers.get('date') || 0);
    const text = (await kept.text()).replace(/(<main\b[^>]*>)/, '$1<p class="told" role="status">The house does not answer. This is how it was on ' + plain(then.toLocaleString('en-GB')) + '.</p>');
    return new Response(text, { headers: { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': kept.headers.get('content-security-policy') || "default-src 'none'" } });
  }
};

const page = async (request) => {
  try {
    const fresh = await fetch(request);
    away = false;
    // Who is led to the login is logged in no more, here or because it was ended elsewhere: all papers go at once.
    if (new URL(request.url).pathname === '/login' && fresh.ok) { await caches.delete(PAPERS); }
    return fresh;
  } catch {
    away = true;
    return nothing(await caches.open(PAPERS));
  }
};

// What is there to read when nothing else is.
const nothing = async (cache) => {
  const titles = [];
  for (const key of await cache.keys()) {
    const text = await (await cache.match(key)).text();
    const title = ((/<title>([^<]*)<\/title>/.exec(text) || [])[1] || new URL(key.url).pathname).replace(/ · .*$/, '');
    titles.push('<li><a href="' + plain(new URL(key.url).pathname) + '">' + title + '</a></li>');
  }
  const list = titles.length === 0 ? '<p>No paper was opened in this browser before.</p>' : '<p>These were opened before and can be read:</p><ul>' + titles.join('') + '</ul>';
  return new Response(
    '<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>The house does not answer</title>'
      + '<link rel="stylesheet" href="/css/fonts.css"><link rel="stylesheet" href="/css/tokens.css"><link rel="stylesheet" href="/css/burrow.css"></head>'
      + '<body><main class="login"><div class="sheet"><h1>The house does not answer</h1>' + list + '</div></main></body></html>',
    { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': "default-src 'none'; style-src 'self'; font-src 'self'; img-src 'self'" } },
  );
};
