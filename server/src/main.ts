import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { serve } from '@hono/node-server';
import { createApp } from './app';

const DEFAULT_PORT = 4310;

const fail = (message: string): never => {
  process.stderr.write(`${message}\n`);
  process.exit(1);
};

const portFrom = (text: string | undefined): number => {
  const port = text === undefined || text === '' ? DEFAULT_PORT : Number(text);
  return Number.isInteger(port) && port >= 0 && port < 65536
    ? port
    : fail(`PORT is “${text ?? ''}”; it must be a whole number from 0 to 65535.`);
};

const root = process.env['ROOT'] ?? join(import.meta.dirname, '../../app/dist');
const hostname = process.env['HOST'] ?? '127.0.0.1';
const port = portFrom(process.env['PORT']);

if (!existsSync(join(root, 'index.html'))) fail(`There is no build in ${root}. Run: npm run build`);

const server = serve({ fetch: createApp(root).fetch, hostname, port }, (address) => {
  const host = address.family === 'IPv6' ? `[${address.address}]` : address.address;
  process.stdout.write(`Enumeron is at http://${host}:${address.port}/ (Ctrl C stops it)\n`);
});

server.on('error', (error: NodeJS.ErrnoException) => {
  const reasons: Readonly<Record<string, string>> = {
    EADDRINUSE: `Port ${port} is taken. Choose another one, such as: PORT=${port + 1} npm start`,
    EACCES: `Port ${port} may not be used by this account. Choose one above 1023.`,
    EADDRNOTAVAIL: `${hostname} is no address of this machine. Set HOST to one that is.`,
  };
  fail(reasons[error.code ?? ''] ?? `The server could not start: ${error.message}`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close();
    process.exit(0);
  });
