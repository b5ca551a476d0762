import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import { Context, Hono, MiddlewareHandler } from 'hono';
import { accepts } from 'hono/accepts';
import { etag } from 'hono/etag';
import { secureHeaders } from 'hono/secure-headers';

/** A file whose name holds a hash of its contents, as the build names scripts, styles and fonts. */
const HASHED = /-[\w-]{8}\.(?:js|css|woff2?)$/;

/** What else the server may be told. */
export interface Options {
  /** The hosts that it answers, without ports; any host when left out. */
  readonly hosts?: readonly string[];
}

/** What is neither a page nor a file that is served: hidden files, and what no address of the application holds. */
const isNoPage = (path: string): boolean => {
  const parts = path.split('/');
  return parts.some((part) => part.startsWith('.')) || /[\p{Cc}\\]/u.test(path);
};

/** Whether a path names a file, by any of its parts. */
const namesFile = (path: string): boolean => path.split('/').some((part) => /\.[a-z0-9]+$/i.test(part));

/** The path as it is meant; undefined when it is not written as paths are. */
const decoded = (path: string): string | undefined => {
  try {
    return decodeURIComponent(path);
  } catch {
    return undefined;
  }
};

/** A host without its port: `localhost`, `[::1]`. */
const hostOf = (context: Context): string =>
  (context.req.header('host') ?? '').toLowerCase().replace(/:\d+$/, '');

/** Answers only the hosts that it is meant for, so that no page elsewhere can reach it under a name of its own. */
const onlyHosts =
  (hosts: readonly string[]): MiddlewareHandler =>
  async (context, next) => {
    if (!hosts.includes(hostOf(context)))
      return context.text('This server does not answer under that name. See ALLOWED_HOSTS.', 421);
    return next();
  };

/** Reading is all that there is. */
const onlyReading: MiddlewareHandler = async (context, next) => {
  if (!['GET', 'HEAD'].includes(context.req.method))
    return context.text('Only GET and HEAD.', 405, { Allow: 'GET, HEAD' });
  return next();
};

/** Leaves of the encodings that a browser takes the best that there is: brotli, gzip or none. */
const bestEncoding: MiddlewareHandler = async (context, next) => {
  const takes = (encoding: string, other: string): string =>
    accepts(context, { header: 'Accept-Encoding', supports: [encoding], default: other });
  const best = takes('br', takes('gzip', 'identity'));
  const headers = new Headers(context.req.raw.headers);
  headers.set('accept-encoding', best);
  context.req.raw = new Request(context.req.raw, { headers });
  await next();
  context.header('Vary', 'Accept-Encoding');
};

/**
 * Serves a built Enumeron from a folder of static files. It keeps nothing and is told nothing: all user data
 * stays in the browser.
 *
 * @param root the folder of the build.
 */
export const createApp = (root: string, { hosts }: Options = {}): Hono => {
  const app = new Hono();
  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        // Angular and Material set styles from script; nothing else may be inline.
        styleSrc: ["'self'", "'unsafe-inline'"],
        workerSrc: ["'self'"],
        connectSrc: ["'self'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        manifestSrc: ["'self'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
      xFrameOptions: 'DENY',
      xContentTypeOptions: 'nosniff',
      referrerPolicy: 'no-referrer',
      crossOriginOpenerPolicy: 'same-origin',
      crossOriginResourcePolicy: 'same-origin',
      permissionsPolicy: { camera: [], microphone: [], geolocation: [] },
      strictTransportSecurity: false,
    }),
  );
  if (hosts) app.use(onlyHosts(hosts));
  app.use(onlyReading);
  app.get('/healthz', (context) => context.json({ ok: true }));
  app.use(async (context, next) => {
    await next();
    const kept = HASHED.test(context.req.path) && [200, 304].includes(context.res.status);
    context.header('Cache-Control', kept ? 'public, max-age=31536000, immutable' : 'no-cache');
  });
  app.use(async (context, next) => {
    const path = decoded(context.req.path);
    if (path === undefined || isNoPage(path)) return context.notFound();
    return next();
  });
  app.use(etag());
  app.use(bestEncoding);
  app.use(serveStatic({ root, precompressed: true }));
  app.get('*', async (context) => {
    if (namesFile(decoded(context.req.path) ?? '')) return context.notFound();
    return context.html(await readFile(join(root, 'index.html'), 'utf8'));
  });
  app.notFound((context) => context.text('There is no such page.', 404));
  return app;
};
