import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, Server } from 'node:http';
import { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { createApp } from './app';
import { readSettings } from './settings';

const root = mkdtempSync(join(tmpdir(), 'enumeron-'));
writeFileSync(join(root, 'index.html'), '<!doctype html><title>Enumeron</title>');
writeFileSync(join(root, 'main-ABCD1234.js'), 'console.log(1)');
writeFileSync(join(root, 'main-ABCD1234.js.gz'), gzipSync('console.log(1)'));
const app = createApp(root);

const get = (path: string, headers: Record<string, string> = {}): Response | Promise<Response> =>
  app.request(`http://localhost${path}`, { headers });

test('pages carry the policies, whichever path they are asked under', async () => {
  for (const path of ['/', '/reckon', '/arrange/some-id/edit']) {
    const response = await get(path);
    expect(response.status).toBe(200);
    expect(await response.text()).toContain('<title>Enumeron');
    const policy = response.headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain('unsafe-eval');
    expect(response.headers.get('x-content-type-options')).toBe('nosniff');
    expect(response.headers.get('x-frame-options')).toBe('DENY');
    expect(response.headers.get('referrer-policy')).toBe('no-referrer');
    expect(response.headers.get('cache-control')).toBe('no-cache');
  }
});

test('hashed files are kept for a year and served compressed where that is understood', async () => {
  const packed = await get('/main-ABCD1234.js', { 'accept-encoding': 'gzip' });
  expect(packed.headers.get('cache-control')).toContain('immutable');
  expect(packed.headers.get('content-encoding')).toBe('gzip');
  expect(packed.headers.get('content-type')).toContain('javascript');
  const plain = await get('/main-ABCD1234.js');
  expect(plain.headers.get('content-encoding')).toBeNull();
  expect(await plain.text()).toBe('console.log(1)');
});

test('what an installed application asks for is sent as what it is, and asked for anew each time', async () => {
  writeFileSync(join(root, 'ngsw-worker.js'), '// worker');
  writeFileSync(join(root, 'manifest.webmanifest'), '{}');
  const [worker, manifest] = [await get('/ngsw-worker.js'), await get('/manifest.webmanifest')];
  expect(worker.headers.get('content-type')).toContain('javascript');
  expect(manifest.headers.get('content-type')).toContain('application/manifest+json');
  for (const { headers } of [worker, manifest]) {
    expect(headers.get('cache-control')).toBe('no-cache');
    expect(headers.get('content-security-policy')).toContain("worker-src 'self'");
  }
});

test('a missing file is not answered with a page, nor kept', async () => {
  const response = await get('/main-ZZZZ9999.js');
  expect(response.status).toBe(404);
  expect(response.headers.get('cache-control')).toBe('no-cache');
});

test('what has not changed is not sent again', async () => {
  for (const path of ['/', '/main-ABCD1234.js']) {
    const first = await get(path);
    const tag = first.headers.get('etag') ?? '';
    expect(tag).not.toBe('');
    const again = await get(path, { 'if-none-match': tag });
    expect([again.status, await again.text()]).toEqual([304, '']);
    expect(again.headers.get('cache-control')).toBe(first.headers.get('cache-control'));
    expect(first.headers.get('vary')).toBe('Accept-Encoding');
  }
});

test.each([
  ['gzip;q=0', null],
  ['gzip;q=0, br', null],
  ['gzip;q=0.1, identity;q=0', 'gzip'],
  ['deflate, GZIP', 'gzip'],
  ['*', null],
  ['nonsense;;', null],
])('of the encodings %s the right one is sent', async (accepted, encoding) => {
  const response = await get('/main-ABCD1234.js', { 'accept-encoding': accepted });
  expect(response.headers.get('content-encoding')).toBe(encoding);
});

test('it only reads', async () => {
  for (const method of ['POST', 'PUT', 'DELETE', 'OPTIONS']) {
    const response = await app.request('http://localhost/', { method });
    expect([response.status, response.headers.get('allow')]).toEqual([405, 'GET, HEAD']);
  }
  const head = await app.request('http://localhost/', { method: 'HEAD' });
  expect([head.status, await head.text()]).toEqual([200, '']);
});

test.each([
  '/.env',
  '/arrange/.git/config',
  '/%2e%67it',
  '/a.php/b',
  '/robots.txt',
  '/x%00y',
  '/a%0d%0ab',
  '/%E0%A4',
])('%s is no page', async (path) => {
  expect((await get(path)).status).toBe(404);
});

test('it answers the hosts that it is meant for', async () => {
  const guarded = createApp(root, { hosts: ['localhost', '[::1]'] });
  const ask = async (host: string): Promise<number> =>
    (await guarded.request('http://localhost/', { headers: { host } })).status;
  expect(await Promise.all(['localhost', 'LOCALHOST:4310', '[::1]:4310'].map(ask))).toEqual([200, 200, 200]);
  expect(await Promise.all(['evil.example', 'localhost.evil.example:4310', ''].map(ask))).toEqual([
    421, 421, 421,
  ]);
});

test.each([
  [{}, { hostname: '127.0.0.1', port: 4310, hosts: ['localhost', '127.0.0.1', '[::1]'] }],
  [
    { HOST: '', PORT: ' ' },
    { hostname: '127.0.0.1', port: 4310, hosts: ['localhost', '127.0.0.1', '[::1]'] },
  ],
  [
    { HOST: '0.0.0.0', PORT: '80' },
    { hostname: '0.0.0.0', port: 80, hosts: undefined },
  ],
  [
    { HOST: '::1', ALLOWED_HOSTS: 'Table.local, pad' },
    { hostname: '::1', port: 4310, hosts: ['table.local', 'pad'] },
  ],
])('settings %j', (env, settings) => {
  expect(readSettings(env)).toEqual(settings);
});

test.each([{ PORT: '1e3' }, { PORT: '-1' }, { PORT: '65536' }, { PORT: '80 81' }, { HOST: 'a b' }])(
  'settings %j are told to be wrong',
  (env) => {
    expect(readSettings(env)).toMatch(/^(?:PORT|HOST) is “/);
  },
);

test('nothing outside the folder is served', async () => {
  for (const path of ['/../package.json', '/%2e%2e/package.json', '/..%2fpackage.json'])
    expect(await (await get(path)).text()).not.toContain('"name"');
});

test('it says that it is well', async () => {
  expect(await (await get('/healthz')).json()).toEqual({ ok: true });
});

describe('as a process', () => {
  /** Runs the built server and gives what it printed, once it has ended or printed a line. */
  const run = (env: Record<string, string>): Promise<{ out: string; error: string; code: number | null }> =>
    new Promise((resolve) => {
      const child = spawn(process.execPath, [join(__dirname, '../dist/main.mjs')], {
        env: { ...process.env, ROOT: root, ...env },
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      let out = '';
      let error = '';
      child.stdout.on('data', (data: Buffer) => {
        out += data.toString();
        child.kill('SIGTERM');
      });
      child.stderr.on('data', (data: Buffer) => (error += data.toString()));
      child.on('close', (code) => resolve({ out, error, code }));
    });

  let taken: Server;
  beforeAll((done) => void (taken = createServer().listen(0, '127.0.0.1', done)));
  afterAll((done) => void taken.close(done));

  test('it prints its one address, on loopback', async () => {
    const { out, code } = await run({ PORT: '0' });
    expect(out).toMatch(/^Enumeron is at http:\/\/127\.0\.0\.1:\d+\//);
    expect(code).toBe(0);
  });

  test('it lets an answer that is under way end before it goes', async () => {
    const child = spawn(process.execPath, [join(__dirname, '../dist/main.mjs')], {
      env: { ...process.env, ROOT: root, PORT: '0' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const line = await new Promise<string>((resolve) =>
      child.stdout.once('data', (data: Buffer) => resolve(data.toString())),
    );
    const url = /http:\/\/[^/]+/.exec(line)?.[0] ?? '';
    const ended = new Promise<number | null>((resolve) => child.once('close', resolve));
    const answers = Promise.all(
      Array.from({ length: 20 }, () => fetch(`${url}/reckon`).then((each) => each.text())),
    );
    await fetch(`${url}/healthz`);
    child.kill('SIGTERM');
    expect((await answers).every((text) => text.includes('<title>Enumeron'))).toBe(true);
    expect(await ended).toBe(0);
  });

  test('a taken port is told in one line', async () => {
    const { port } = taken.address() as AddressInfo;
    const { error, code } = await run({ PORT: port.toString() });
    expect(error).toBe(`Port ${port} is taken. Choose another one, such as: PORT=${port + 1} npm start\n`);
    expect(code).toBe(1);
  });

  test('a port that is no number, and a folder with no build', async () => {
    expect((await run({ PORT: 'x' })).error).toContain('PORT is “x”');
    expect((await run({ ROOT: tmpdir() })).error).toContain('npm run build');
  });
});
