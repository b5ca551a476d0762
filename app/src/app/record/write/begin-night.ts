import { inject } from '@angular/core';
import { notNoted } from '@enumeron/core/file/record/changeNight';
import { type Night, sortOf } from '@enumeron/core/file/record/night';
import { NightsStore } from '../../nouns/performances/nights.store';
import { ON_STAGE } from '../../nouns/performances/live.kind';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SetsStore } from '../../nouns/sets/sets.store';
import { Clock } from '../../platform/clock';
import { onlyPlace } from '../../storage/kind';
import { Rows } from '../../storage/rows';

/**
 * Begins a night that is written by hand: with tonight’s set, or the one of the last night, or the newest; where it was
 * done before, with the place and audience of then. Call it in an injection context.
 *
 * @returns a function that keeps the night and gives its id. @param about what of it is known already.
 */
export const beginNight = (): ((about: Partial<Night>) => string) => {
  const [nights, sets, routines, clock] = [
    inject(NightsStore),
    inject(SetsStore),
    inject(RoutinesStore),
    inject(Clock),
  ];
  const stage = inject(Rows).only(onlyPlace(ON_STAGE));
  return (about) => {
    const real = (nights.all() ?? []).filter((night) => sortOf(night) === 'real');
    const all = sets.all() ?? [];
    const wanted = about.practice ? undefined : (stage().tonight ?? real.at(0)?.set);
    const set = about.practice ? undefined : (all.find(({ id }) => id === wanted) ?? all.at(0));
    const before = real.find((night) => set !== undefined && night.set === set.id);
    const done =
      set?.set.order.flatMap((id) => {
        const routine = routines.find(id)?.routine;
        return routine ? [notNoted(id, routine.name)] : [];
      }) ?? [];
    return nights.add(
      {
        ...{ at: clock.now(), real: true, audience: before?.audience ?? '', done },
        ...{ name: about.practice ? 'Practice with helpers' : (set?.set.name ?? '') },
        ...(set && { set: set.id }),
        ...(before?.place !== undefined && { place: before.place }),
        ...about,
      },
      about.practice ? 'write practice down' : 'write a night down',
    );
  };
};
