import { ChildProcess, spawn } from 'node:child_process';
import { cp, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BrowserContext, chromium, expect, Page } from '@playwright/test';
import { chromiumPath } from '../../scripts/chromium.mjs';
import { addServiceWorker } from '../../scripts/offline.mjs';

const ROOT = join(import.meta.dirname, '../..');
const DIST = join(ROOT, 'app/dist');

/** The application on a server of its own, which can be ended, and be given another build. */
export class Site {
  private server: ChildProcess | undefined;
  url = '';

  private constructor(private readonly folder: string) {}

  static async begin(): Promise<Site> {
    // Inside the project: the service worker's list of files is made there.
    const site = new Site(await mkdtemp(join(ROOT, 'e2e/results/site-')));
    await cp(DIST, site.folder, { recursive: true });
    await site.serve();
    return site;
  }

  private async serve(): Promise<void> {
    const server = spawn(process.execPath, [join(ROOT, 'server/dist/main.mjs')], {
      env: { ...process.env, ROOT: this.folder, PORT: '0' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.server = server;
    const line = await new Promise<string>((resolve) =>
      server.stdout.once('data', (data: Buffer) => resolve(data.toString())),
    );
    this.url = /http:\/\/[^/\s]+/.exec(line)?.[0] ?? '';
  }

  /** A release: the same application whose every script has another name, with a mark in its page. */
  async release(mark: string): Promise<void> {
    const names = (await readdir(this.folder)).filter((name) => /^(?:chunk|main|worker)-.*\.js$/.test(name));
    const newName = (name: string): string =>
      name.replace(/-.{8}\.js$/, (end) => `-${mark}${end.slice(1 + mark.length)}`);
    const renamed = (text: string): string =>
      names.reduce((all, name) => all.replaceAll(name, newName(name)), text);
    for (const name of [...names, 'index.html']) {
      const text = renamed(await readFile(join(this.folder, name), 'utf8'));
      await rm(join(this.folder, name));
      for (const packed of ['.gz', '.br']) await rm(join(this.folder, `${name}${packed}`), { force: true });
      const marked = name === 'index.html' ? text.replace('<body>', `<body data-release="${mark}">`) : text;
      await writeFile(join(this.folder, newName(name)), marked);
    }
    for (const name of ['ngsw.json.gz', 'ngsw.json.br']) await rm(join(this.folder, name), { force: true });
    addServiceWorker(this.folder.slice(ROOT.length + 1));
  }

  /** Ends the server: there is no network any more. */
  async end(): Promise<void> {
    const { server } = this;
    if (server?.exitCode !== null) return;
    const ended = new Promise((resolve) => server.once('close', resolve));
    server.kill('SIGTERM');
    await ended;
  }

  async remove(): Promise<void> {
    await this.end();
    await rm(this.folder, { recursive: true, force: true });
  }
}

/** A browser that keeps what it has over a restart. */
export class Kept {
  private context: BrowserContext | undefined;

  private constructor(private readonly profile: string) {}

  static async begin(): Promise<Kept> {
    return new Kept(await mkdtemp(join(tmpdir(), 'enumeron-profile-')));
  }

  async open(viewport = { width: 1280, height: 800 }): Promise<BrowserContext> {
    this.context = await chromium.launchPersistentContext(this.profile, {
      executablePath: chromiumPath(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
      ],
      viewport,
      serviceWorkers: 'allow',
    });
    return this.context;
  }

  async close(): Promise<void> {
    await this.context?.close();
    this.context = undefined;
  }

  async remove(): Promise<void> {
    await this.close();
    await rm(this.profile, { recursive: true, force: true });
  }
}

/** Waits until a page is served by the service worker, which has all files by then. */
export const installed = async (page: Page): Promise<void> => {
  await expect(async () => {
    const lacking = await page.evaluate(async () => {
      if (!navigator.serviceWorker.controller) return -1;
      const list = (await (await fetch('/ngsw.json')).json()) as { hashTable: Record<string, string> };
      const has = await Promise.all(
        Object.keys(list.hashTable).map((url) => caches.match(url, { ignoreVary: true })),
      );
      return has.filter((each) => each === undefined).length;
    });
    expect(lacking).toBe(0);
  }).toPass({ timeout: 60_000 });
};
