import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { secureHeaders } from 'hono/secure-headers';

/** A file whose name holds a hash of its contents, as the build names scripts, styles and fonts. */
const HASHED = /-[\w-]{8}\.(?:js|css|woff2?)$/;

/**
 * Serves a built Enumeron from a folder of static files. It keeps nothing and is told nothing: all user data
 * stays in the browser.
 *
 * @param root the folder of the build.
 */
export const createApp = (root: string): Hono => {
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
  app.get('/healthz', (context) => context.json({ ok: true }));
  app.use(async (context, next) => {
    await next();
    const kept = HASHED.test(context.req.path) && context.res.ok;
    context.header('Cache-Control', kept ? 'public, max-age=31536000, immutable' : 'no-cache');
  });
  app.use(serveStatic({ root, precompressed: true }));
  app.get('*', async (context) => {
    if (/\.[a-z0-9]+$/i.test(context.req.path)) return context.notFound();
    return context.html(await readFile(join(root, 'index.html'), 'utf8'));
  });
  app.notFound((context) => context.text('There is no such page.', 404));
  return app;
};
