import { ARRANGE } from './arrange/room';
import { Line } from './storage/kind';
import { LEARN } from './learn/room';
import { PERFORM } from './perform/room';
import { RECKON } from './reckon/room';
import { RECORD } from './record/room';
import { REHEARSE } from './rehearse/room';
import { Place, Room, WhatIsTold } from './room';
import { SETTINGS } from './settings/room';
import { WEAVE } from './weave/room';

/** The rooms that exist, in the order of the work. */
export const ROOMS: readonly Room[] = [ARRANGE, LEARN, RECKON, WEAVE, REHEARSE, PERFORM, RECORD];

/** Whatever has pages: the rooms, and the settings. */
export const PLACES: readonly Place[] = [...ROOMS, SETTINGS];

/**
 * The room that opens when no other is asked for. It comes with the frame: as a part of its own it would be a dozen
 * scripts more, and the first answer would wait for them. Each other room is loaded when it is opened.
 */
export const FIRST_ROOM: Room = RECKON;

const isAt =
  (url: string) =>
  ({ path }: Place): boolean =>
    url.split(/[/?#]/)[1] === path;

/** The room or other place that an address belongs to. */
export const placeAt = (url: string): Place | undefined => PLACES.find(isAt(url));

/** The room that an address belongs to. */
export const roomAt = (url: string): Room | undefined => ROOMS.find(isAt(url));

/** The line of undo that an address belongs to. */
export const lineAt = (url: string): Line => roomAt(url)?.line ?? FIRST_ROOM.line;

/** The address, part by part, where something that was told is shown. */
export const addressOf = (told: WhatIsTold): readonly string[] =>
  ROOMS.flatMap(({ path, shows }) =>
    shows?.[told] === undefined ? [] : [path, shows[told]].filter((part) => part !== ''),
  );
