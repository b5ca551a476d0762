import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { laySetsOut } from '../nouns/sets/sample';
import { SETS } from '../nouns/sets/sets.kind';
import { Scripts } from '../platform/scripts';
import { RoomHelp } from '../room';
import { SampleRoom } from '../storage/sample-room';
import { Storage } from '../storage/storage';

/** The set of the sample, in which one junction is to mend. */
const SAMPLE = 'sample-late-set';

/** Opens the sample set, or any that is kept; where there is none, the list, which says how to begin. */
const openSet = async (injector: Injector): Promise<unknown> => {
  // It may be pressed before the room has laid its sample out.
  await laySetsOut(injector.get(SampleRoom), injector.get(Scripts));
  const rows = (await injector.get(Storage).db()).rows(SETS);
  const [id] = (await rows.get(SAMPLE)) ? [SAMPLE] : await rows.toCollection().limit(1).primaryKeys();
  return injector
    .get(Router)
    .navigate(['perform', ...((id as string | undefined) === undefined ? [] : [id])]);
};

export const PERFORM_HELP: RoomHelp = {
  is: 'Put your routines in order, and Perform says what each leaves of the pack and what to do before the next. It finds the order that needs the least between them, goes on stage with you step by step, and brings the pack back when all is over.',
  tries: () => [
    {
      label: 'A set, junction by junction',
      says: 'Seven routines and an interval: where the order breaks, and what mends it.',
      go: openSet,
    },
    {
      label: 'Tonight',
      says: 'What to look at before you go on, and the live cue under one thumb.',
      go: (injector) => injector.get(Router).navigate(['perform', 'tonight']),
    },
    {
      label: 'Bring the pack back',
      says: 'The fewest moves found from how it lies to its order, one by one.',
      go: (injector) => injector.get(Router).navigate(['perform', 'reset']),
    },
  ],
  keys: [
    ['↑ ↓', 'in a set from routine to routine; with Alt move it'],
    ['Enter', 'open the routine'],
    ['Delete', 'take the routine out of the set'],
    ['Page Up, Page Down', 'in the live cue back and on, as a clicker sends them'],
  ],
};
