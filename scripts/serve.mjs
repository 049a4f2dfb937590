// The server: HTTP on this machine, or HTTPS with the shop's own certificate. It says of every request where it came from, whatever the request says
// of that itself, and lays down root's rights as soon as it listens.
import { accessSync, constants, readFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { resolve } from 'node:path';
import next from 'next';

const began = Date.now();
const { env } = process;
const host = env.GRAVELWORT_HOST || '127.0.0.1';
const port = Number(env.GRAVELWORT_PORT);
const secure = Boolean(env.GRAVELWORT_CERT);
const proxied = env.GRAVELWORT_PROXY === 'yes';
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];
/** What a sender could pass itself off with; a proxy in front is believed on its address only. */
const CLAIMS = [
  'forwarded',
  'x-forwarded-for',
  'x-forwarded-host',
  'x-forwarded-port',
  'x-forwarded-proto',
  'x-real-ip',
];
const OURS = ['x-gravelwort-address', 'x-gravelwort-path', 'x-request-id', 'x-middleware-subrequest'];
/** A year, as the header counts it. */
const HSTS = 'max-age=31536000';
/** Before it takes in no more, a server that is to end says at /readyz for so long that it is not to be sent to, ms. */
const NOTICE = Number(env.GRAVELWORT_NOTICE_MS || 0);
/** How long what is under way may go on after the server was told to end, ms. */
const GRACE = 4000;

// What a release told of a job another one may tell otherwise.
env.GRAVELWORT_BUILD ??=
  process.argv[2] === 'dev'
    ? String(Date.now())
    : readFileSync(`${env.GRAVELWORT_DIST || '.next'}/BUILD_ID`, 'utf8').trim();
const app = next({ dev: process.argv[2] === 'dev', hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();

const answer = (request, response) => {
  const { headers } = request;
  const told = proxied ? headers['x-forwarded-for']?.split(',').at(-1)?.trim() : undefined;
  for (const name of [...CLAIMS, ...OURS]) delete headers[name];
  headers['x-gravelwort-address'] = told || request.socket.remoteAddress || '';
  if (env.GRAVELWORT_TLS === 'yes') response.setHeader('Strict-Transport-Security', HSTS);
  if (!METHODS.includes(request.method)) {
    response
      .writeHead(405, { Allow: METHODS.join(', '), 'Content-Type': 'text/plain' })
      .end('Not a way to ask here.\n');
    return;
  }
  handle(request, response).catch(() => response.destroy());
};

const server = secure
  ? https.createServer(
      { cert: readFileSync(env.GRAVELWORT_CERT), key: readFileSync(env.GRAVELWORT_KEY), minVersion: 'TLSv1.2' },
      answer,
    )
  : http.createServer(answer);
server.on('error', (error) => {
  console.error(`The server cannot listen at ${host}:${port}: ${error.message}`);
  process.exit(1);
});

/** Root is for the port and the key; nobody needs it to answer. */
function layDownRoot() {
  if (process.getuid?.() !== 0) return 'its own user';
  const user = env.GRAVELWORT_USER || 'nobody';
  try {
    process.seteuid(user);
    // By their whole path, as programs are loaded: a folder above may be closed to others.
    for (const file of ['package.json', `${env.GRAVELWORT_DIST || '.next'}/BUILD_ID`, 'node_modules/next/package.json'])
      accessSync(resolve(file), constants.R_OK);
  } catch {
    process.seteuid(0);
    return `root, since ${user} may not read this folder`;
  }
  process.seteuid(0);
  process.setgroups([]);
  process.setgid(user === 'nobody' ? 'nogroup' : user);
  process.setuid(user);
  return user;
}

server.listen(port, host, () => {
  const as = process.argv[2] === 'dev' ? 'who started it' : layDownRoot();
  console.log(`Ready in ${Date.now() - began} ms, at ${secure ? 'https' : 'http'}://${host}:${port}, as ${as}`);
});

for (const signal of ['SIGTERM', 'SIGINT'])
  process.once(signal, () => {
    globalThis.gravelwortEnds = true;
    setTimeout(end, NOTICE);
  });

function end() {
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  setTimeout(() => {
    server.closeAllConnections();
    setTimeout(() => process.exit(0), 500);
  }, GRACE).unref();
}
