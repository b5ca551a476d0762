/** Where the server listens, and whom it answers. */
export interface Settings {
  readonly hostname: string;
  readonly port: number;
  /** The hosts that it answers; undefined for any. */
  readonly hosts: readonly string[] | undefined;
}

const DEFAULT_PORT = 4310;
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** A setting that is not empty. */
const told = (text: string | undefined): string | undefined =>
  text?.trim() === '' ? undefined : text?.trim();

const isLoopback = (hostname: string): boolean =>
  hostname === 'localhost' || hostname === '::1' || /^127(?:\.\d{1,3}){3}$/.test(hostname);

const portFrom = (text: string | undefined): number | undefined => {
  if (text === undefined) return DEFAULT_PORT;
  const port = /^\d{1,5}$/.test(text) ? Number(text) : -1;
  return port >= 0 && port < 65536 ? port : undefined;
};

/**
 * Reads the settings from the environment. What is empty is the default: never all of the machine's addresses.
 *
 * @returns the settings, or the sentence that says what is wrong.
 */
export const readSettings = (env: Readonly<Record<string, string | undefined>>): Settings | string => {
  const hostname = told(env['HOST']) ?? '127.0.0.1';
  const port = portFrom(told(env['PORT']));
  if (port === undefined) return `PORT is “${env['PORT'] ?? ''}”; it must be a whole number from 0 to 65535.`;
  if (/[\s/]/.test(hostname)) return `HOST is “${hostname}”; it must be one address or name.`;
  const named = told(env['ALLOWED_HOSTS'])
    ?.toLowerCase()
    .split(/[\s,]+/)
    .filter((host) => host !== '');
  return { hostname, port, hosts: named ?? (isLoopback(hostname) ? LOOPBACK : undefined) };
};
