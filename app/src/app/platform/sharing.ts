import { Injector } from '@angular/core';

/** What is open, as it is shared. */
export interface Shared {
  /** What it is, in a few words: `7♦ at 15`. */
  readonly what: string;
  /** Its address: the path, and what small things stand in the query. */
  readonly path: string;
  readonly query?: readonly (readonly [name: string, value: string])[];
  /** What travels compressed in the fragment. */
  readonly packed?: string;
  /** What is packed is a file of its own, that may be saved under this name. */
  readonly fileName?: string;
  /** The same as plain text, to be copied; undefined where there is none. */
  readonly text?: string;
}

/** A part of an address, counted from 0; empty where there is none. */
export const pathIn = (url: string, index: number): string =>
  url
    .split(/[?#]/)[0]
    .split('/')
    .at(index + 1) ?? '';

/** How a room shares what is open in it, and takes what an address brings. */
export interface Sharing {
  /** @param url the address that is open. @returns undefined where there is nothing to share. */
  of(injector: Injector, url: string): Shared | undefined | Promise<Shared | undefined>;
  /**
   * Takes over what an address brings.
   *
   * @param packed what its fragment held, unpacked; undefined where there was none.
   * @returns whether it brought anything.
   */
  take?(injector: Injector, url: URL, packed: string | undefined): boolean;
}
