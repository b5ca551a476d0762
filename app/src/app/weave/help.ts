import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { Move } from '@enumeron/core/moves';
import { PackStore } from '../nouns/pack/pack.store';
import { WEAVING, WeavingRow } from '../nouns/weaves/weaving.kind';
import { RoomHelp } from '../room';
import { Journal } from '../storage/journal';
import { onlyPlace } from '../storage/kind';

/** Changes what is worked on and shows it. Undo brings back what was there. */
const tryOut = (injector: Injector, label: string, change: Partial<WeavingRow>): unknown => {
  void injector.get(Journal).commit(label, [onlyPlace(WEAVING)], ([row]) => [{ ...row, ...change }]);
  return injector.get(Router).navigate(['weave']);
};

const OUT: Move = { kind: 'weave', weave: 'out' };

export const WEAVE_HELP: RoomHelp = {
  is: 'Weave shows what a row of perfect shuffles does to the pack, on a copy of it. It also finds the row that brings your cards where you want them.',
  tries: () => [
    {
      label: 'Top card to 12',
      says: 'The fewest weaves that bring the top card to the twelfth place.',
      go: (injector) => {
        const pack = injector.get(PackStore);
        const followed = [{ card: pack.now()[0], to: Math.min(12, pack.size()) }];
        return tryOut(injector, 'bring the top card to 12', { row: [], followed, cuts: 'none' });
      },
    },
    {
      label: 'Eight out weaves',
      says: 'They bring 52 cards back as they were: watch them go.',
      go: (injector) => tryOut(injector, 'try eight out weaves', { row: Array<Move>(8).fill(OUT) }),
    },
    {
      label: 'A weave that went wrong',
      says: 'Two cards that you see afterwards tell how it went.',
      go: (injector) => injector.get(Router).navigate(['weave', 'wrong']),
    },
  ],
  keys: [
    ['i, o', 'in the row: an in weave, an out weave'],
    ['12 o', 'only the top twelve woven'],
    ['r', 'before i or o: the weave taken back'],
    ['c 12', 'a cut of twelve cards'],
    ['p 20 i', 'a packet of twenty woven in'],
    ['← →', 'step through the row'],
    ['Esc', 'give the keys back'],
  ],
};
