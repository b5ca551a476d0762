import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { layProceduresOut } from '../nouns/procedures/sample';
import { Scripts } from '../platform/scripts';
import { RoomHelp } from '../room';
import { SampleRoom } from '../storage/sample-room';
import { Storage } from '../storage/storage';

/** The worked procedure that shows most at first sight: nine cases in ten, and why the others fail. */
const WORKED = 'sample-two-cuts-and-a-packet-of-numbers';

/** Opens the worked procedure, or any that is kept; where there is none, the list, which says how to begin. */
const openWorked = async (injector: Injector): Promise<unknown> => {
  // It may be pressed before the room has laid its sample out.
  await layProceduresOut(injector.get(SampleRoom), injector.get(Scripts));
  const rows = (await injector.get(Storage).db()).rows(PROCEDURES);
  const [id] = (await rows.get(WORKED)) ? [WORKED] : await rows.toCollection().limit(1).primaryKeys();
  return injector
    .get(Router)
    .navigate(['rehearse', ...((id as string | undefined) === undefined ? [] : [id])]);
};

export const REHEARSE_HELP: RoomHelp = {
  is: 'Write a routine down step by step, and Rehearse tries everything that they can do in it. They are your helper: whoever cuts, names and chooses.',
  tries: () => [
    {
      label: 'A routine, proved',
      says: 'Two cuts: in which of all cases it works, and why the others fail.',
      go: openWorked,
    },
    {
      label: 'What are the odds?',
      says: 'Questions that performers argue about, with exact answers.',
      go: (injector) => injector.get(Router).navigate(['rehearse', 'odds']),
    },
    {
      label: 'A busy row',
      says: 'Single-card moves that seem to wander and bring four cards to the top.',
      go: (injector) => injector.get(Router).navigate(['rehearse', 'busy']),
    },
  ],
  keys: [
    ['↑ ↓', 'from step to step; with Shift choose several, with Alt move them'],
    ['Enter, Tab', 'into the fields of a step, and on'],
    ['+', 'to where a step is added'],
    ['Delete', 'take steps out'],
    ['Ctrl C, X, V', 'copy, cut and paste steps'],
    ['← →', 'on the table: a step back and on'],
  ],
};
