import { ChildProcess, spawn } from 'node:child_process';
import { chromium, expect, Page } from '@playwright/test';
import { chromiumPath } from '../../scripts/chromium.mjs';

/** A browser of its own process group, so that all of it can be killed at once, as a crash or a dead battery does. */
export class Killable {
  private process: ChildProcess | undefined;

  constructor(
    private readonly profile: string,
    private readonly base: string,
  ) {}

  async open(path: string, waitsFor = 'en-ask-line input'): Promise<Page> {
    const args = ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'];
    const more = ['--disable-background-networking', '--disable-component-update', '--disable-sync'];
    const started = spawn(
      chromiumPath() ?? '',
      [...args, ...more, `--user-data-dir=${this.profile}`, '--remote-debugging-port=0', 'about:blank'],
      { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
    );
    this.process = started;
    const address = await new Promise<string>((resolve, reject) => {
      let text = '';
      started.stderr.on('data', (data: Buffer) => {
        text += data.toString();
        const found = /DevTools listening on (\S+)/.exec(text)?.[1];
        if (found) resolve(found);
      });
      started.once('exit', () => reject(new Error(`the browser ended: ${text}`)));
    });
    const browser = await chromium.connectOverCDP(address);
    const page = await browser.contexts()[0].newPage();
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(this.base + path);
    await expect(page.locator(waitsFor).first()).toBeAttached();
    return page;
  }

  /** Ends all of it at once. */
  async kill(): Promise<void> {
    const { process: started } = this;
    if (!started?.pid) return;
    const ended = new Promise((resolve) => started.once('exit', resolve));
    process.kill(-started.pid, 'SIGKILL');
    await ended;
    this.process = undefined;
  }
}

/** Numbers that look random and are the same in every run. */
export const generator = (seed: number): (() => number) => {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
};

/** The moment at which it is killed. */
export const after = (milliseconds: number): Promise<void> =>
  // eslint-disable-next-line no-restricted-syntax -- what is tested is any moment
  new Promise((resolve) => setTimeout(resolve, milliseconds));
