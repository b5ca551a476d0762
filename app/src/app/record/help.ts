import { Router } from '@angular/router';
import { RoomHelp } from '../room';

export const RECORD_HELP: RoomHelp = {
  is: 'Record keeps what happened on your nights: how each routine ended, and what your helpers chose. It says what that means, with honest intervals, and gives it back to where chances are used.',
  tries: () => [
    {
      label: 'What they choose',
      says: 'How deep they cut when you ask for about half, and what to ask for.',
      go: (injector) => injector.get(Router).navigate(['record', 'choices']),
    },
    {
      label: 'How routines go',
      says: 'How often each hits, why it missed, and where you slipped.',
      go: (injector) => injector.get(Router).navigate(['record', 'routines']),
    },
    {
      label: 'Look at your nights',
      says: 'Every night in a table and a calendar; write the last one down in a minute.',
      go: (injector) => injector.get(Router).navigate(['record']),
    },
  ],
  keys: [
    ['Enter', 'while you write a night down: go on; alone it hit, or it was not noted'],
    ['H O M S L', 'while you write a night down: it hit, an out, missed, stopped, left out'],
  ],
};
