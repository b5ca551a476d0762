import { Injector } from '@angular/core';
import { Routes } from '@angular/router';
import { Values } from '@enumeron/core/form';
import { Fact } from '@enumeron/core/reckon/facts';
import { Line } from './storage/kind';
import { Samples } from './storage/samples';

/** One way into a room: the ask line opens it by its words. */
export interface WayIn {
  /** Its address below the room's. */
  readonly path: string;
  /** What it is called in full. */
  readonly name: string;
  /** Its short name, two words or three in small letters. */
  readonly words: string;
  /** What must have been seen for it. */
  readonly seen: string;
  /** What it answers. */
  readonly asked: string;
  /** What it takes over from a fact that was told, or undefined where the fact is not for it. */
  take?(fact: Fact): Values | undefined;
}

/** A way in that is opened by its words and takes nothing over. */
export const plainWay = (path: string, name: string, words: string): WayIn => ({
  ...{ path, name, words, seen: '', asked: '' },
});

/** What can be told from any room and is shown in one: the card and number that are wanted, facts, riffles. */
export type Told = 'wanted' | 'facts' | 'riffles';

/** A room: all that the frame, the keys, the help and the ask line know of it. */
export interface Room {
  /** The key that opens it: its number among the seven. */
  readonly key: string;
  readonly name: string;
  /** The first part of its addresses. */
  readonly path: string;
  /** The question that it answers. */
  readonly words: string;
  /** What undo takes back while it is open. */
  readonly line: Line;
  readonly ways?: readonly WayIn[];
  /** What it shows of all that can be told, and at which address below its own. */
  readonly shows?: Readonly<Partial<Record<Told, string>>>;
  /** Its views. */
  load(): Routes | Promise<Routes>;
  /** Fetches what its first view shows behind itself; called while nothing else is to be done. */
  ahead?(injector: Injector): Promise<unknown>;
  /** What it has of the demo world; laid out on the first visit. */
  samples?(): Promise<Samples>;
}
