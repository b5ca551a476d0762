import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { join } from 'node:path';
import { serve } from '@hono/node-server';
import { createApp } from './app';
import { readSettings } from './settings';

/** How long answers that are under way may take when the server is stopped, in milliseconds. */
const DRAIN = 10_000;

const fail = (message: string): never => {
  process.stderr.write(`${message}\n`);
  process.exit(1);
};

const settings = readSettings(process.env);
const { hostname, port, hosts } = typeof settings === 'string' ? fail(settings) : settings;
const root = process.env['ROOT'] ?? join(import.meta.dirname, '../../app/dist');

if (!existsSync(join(root, 'index.html'))) fail(`There is no build in ${root}. Run: npm run build`);

const server = serve({ fetch: createApp(root, { hosts }).fetch, hostname, port }, (address) => {
  const host = address.family === 'IPv6' ? `[${address.address}]` : address.address;
  process.stdout.write(`Enumeron is at http://${host}:${address.port}/ (Ctrl C stops it)\n`);
}) as Server;

server.on('error', (error: NodeJS.ErrnoException) => {
  const reasons: Readonly<Record<string, string>> = {
    EADDRINUSE: `Port ${port} is taken. Choose another one, such as: PORT=${port + 1} npm start`,
    EACCES: `Port ${port} may not be used by this account. Choose one above 1023.`,
    EADDRNOTAVAIL: `${hostname} is no address of this machine. Set HOST to one that is.`,
    ENOTFOUND: `${hostname} is no name that this machine knows. Set HOST to one that is.`,
  };
  fail(reasons[error.code ?? ''] ?? `The server could not start: ${error.message}`);
});

/** Takes no more requests, lets those under way end, and goes. A second signal ends it at once. */
const stop = (): void => {
  server.close(() => process.exit(0));
  // A connection whose answer has ended is idle from then on, and would be kept open for the next one.
  setInterval(() => server.closeIdleConnections(), 50).unref();
  setTimeout(() => process.exit(0), DRAIN).unref();
};

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    process.once(signal, () => process.exit(1));
    stop();
  });
}
