import { Injector, Type } from '@angular/core';
import { Route, Routes } from '@angular/router';
import { Values } from '@enumeron/core/form';
import { Fact } from '@enumeron/core/reckon/facts';
import { Line } from './storage/kind';
import { Sharing } from './platform/sharing';
import { Samples } from './storage/samples';
import { titleOf } from './ui/title-of';

/** A page of a room: its route, its tab, its title and what the ask line knows of it are made of this. */
export interface Page {
  /** Its address below the room's: empty for the first; a part with a colon stands for what is open. */
  readonly path: string;
  /** What it is called in full; undefined where it is called as what is open in it. */
  readonly name?: string;
  /** What the ask line opens it by, in small letters; its name unless told. */
  readonly words?: string;
  /** What else people call it, in small letters. */
  readonly also?: readonly string[];
  /** Set where it stands in the row of pages: its short name. */
  readonly tab?: string;
  /** Its view; undefined where that comes with the room. */
  load?(): Promise<Type<unknown>>;
  /** Its views, where it has several. */
  children?(): Promise<Routes>;
}

/** A page that goes on from what was seen. */
export interface WayIn extends Page {
  readonly name: string;
  readonly words: string;
  /** What must have been seen for it. */
  readonly seen: string;
  /** What it answers. */
  readonly asked: string;
  /** What it takes over from a fact that was told, or undefined where the fact is not for it. */
  take?(fact: Fact): Values | undefined;
}

/** What can be told from any room and is shown in one: the card and number that are wanted, facts, riffles. */
export type WhatIsTold = 'wanted' | 'facts' | 'riffles';

/** A format of files, and the page that opens them: by itself where they travel in the address, else by hand. */
export interface OpenedFile {
  readonly format: string;
  readonly page: string;
  readonly inAddress?: true;
}

/** A place with pages of its own. */
export interface Place {
  readonly name: string;
  /** What else people call it, in small letters. */
  readonly also?: readonly string[];
  /** The first part of its addresses. */
  readonly path: string;
  readonly pages: readonly Page[];
  /** Pages that go on from what was seen, beside the others. */
  readonly ways?: readonly WayIn[];
  /** The files that are opened in it, by the format that they say they have; empty where they say none. */
  readonly opens?: readonly OpenedFile[];
  /** Its views. */
  load(): Routes | Promise<Routes>;
}

/** One thing to try in a room: what its button says, what it shows, and what a press does. */
export interface Try {
  readonly label: string;
  readonly says: string;
  go(injector: Injector): unknown;
}

/** The line that greets a first visit. */
export interface Greeting {
  readonly says: string;
  readonly tries: readonly Try[];
}

/** What a newcomer is told of a room. */
export interface RoomHelp {
  /** What it is for, in two sentences. */
  readonly is: string;
  /** Three things to try, with the pack that is in hand; read in a reactive context. */
  tries(injector: Injector): readonly Try[];
  /** What greets a first visit; what it is for and the first two things to try unless told. Undefined once it is used. */
  greeting?(injector: Injector): Greeting | undefined;
  /** The keys that only this room has. */
  readonly keys?: readonly (readonly [key: string, does: string])[];
}

/** A room: all that the frame, the keys, the help and the ask line know of it. */
export interface Room extends Place {
  /** The key that opens it: its number among the seven. */
  readonly key: string;
  /** The question that it answers. */
  readonly words: string;
  /** What a newcomer is told of it. */
  help(): Promise<RoomHelp>;
  /** What undo takes back while it is open. */
  readonly line: Line;
  /** What it shows of all that can be told, and at which address below its own. */
  readonly shows?: Readonly<Partial<Record<WhatIsTold, string>>>;
  /** How what is open in it is shared by an address, and such an address taken. */
  sharing?(): Promise<Sharing>;
  /** Fetches what its first view shows behind itself; called while nothing else is to be done. */
  ahead?(injector: Injector): Promise<unknown>;
  /** What it has of the demo world; laid out on the first visit. */
  samples?(): Promise<Samples>;
}

/**
 * The routes of a place's pages.
 *
 * @param own what the route of a page has besides, by its path: the view that comes with the room, say.
 */
export const pageRoutes = (
  { name: place, pages }: Place,
  own: Readonly<Record<string, Partial<Route>>> = {},
): Routes =>
  pages.map(({ path, name, load, children }) => ({
    path,
    ...(path === '' && !children ? { pathMatch: 'full' as const } : {}),
    ...(name === undefined ? {} : { title: titleOf(name, name === place ? undefined : place) }),
    ...(load && { loadComponent: load }),
    ...(children && { loadChildren: children }),
    ...own[path],
  }));
