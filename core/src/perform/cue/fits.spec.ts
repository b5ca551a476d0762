import vectors from '../../../test/vectors/procedures.json';
import later from '../../../test/vectors/procedures2.json';
import { isCard } from '../../deck/card';
import { seededRng } from '../../deck/rng';
import { Procedure, Step } from '../../procedure/procedure';
import { givesKnown } from '../../procedure/walk';
import { actOut, Acted, Scene } from '../../rehearse/actOut';
import { pathOf, stepAt } from '../../rehearse/editSteps';
import { readProcedure } from '../../rehearse/readProcedure';
import { WORKED } from '../../rehearse/worked/worked';
import { fitting } from './fits';
import { follow } from './followed';
import { Answer, END } from './search';

const read = (procedure: unknown): readonly Procedure[] => {
  const outcome = readProcedure({ version: 2, ...(procedure as object) });
  return outcome.ok ? [outcome.procedure] : [];
};

const ALL: readonly Procedure[] = [
  ...WORKED.map(({ procedure }) => procedure),
  ...[...vectors.rows, ...later.rows].map(({ procedure }) => procedure),
].flatMap(read);

const isEvent = (step: Step | undefined): boolean =>
  step !== undefined &&
  (step.do === 'see' || step.do === 'choose' || step.do === 'choose one') &&
  givesKnown(step);

/** What a performer is told in a world as it is acted out, with the steps between. */
const toldIn = (procedure: Procedure, { scenes }: Acted) => {
  const told: { path: string; value: number; before: readonly Scene[] }[] = [];
  let before: Scene[] = [];
  for (const scene of scenes.slice(1)) {
    const step = stepAt(procedure.steps, pathOf(scene.path));
    const value = step && 'name' in step && scene.names.find(({ name }) => name === step.name)?.value;
    // Where nothing can be seen the world fails.
    if (isEvent(step) && value !== undefined && value !== false) {
      told.push({ path: scene.path, value, before });
      before = [];
    } else before.push(scene);
  }
  return { told, rest: before };
};

const lies = (
  packets: readonly { readonly cards: readonly { readonly card: number; readonly faceUp: boolean }[] }[],
) =>
  packets.map(({ cards }) =>
    cards.map(({ card, faceUp }) => `${card.toString()}${faceUp ? '↑' : ''}`).join(' '),
  );

test.each(ALL.map((procedure) => [procedure.name, procedure] as const))(
  'what fits what a performer is told in %s has the world that it is in, as acting it out shows it',
  (_, procedure) => {
    const start = [{ followed: follow(procedure), turn: 0, isSure: true }];
    const rng = seededRng(7);
    for (let seed = 1; seed <= 12; seed++) {
      const acted = actOut(procedure, [], seed, rng);
      if (acted.end === undefined || acted.end === 'left out') continue;
      const { told, rest } = toldIn(procedure, acted);
      const answers: Answer[] = [];
      for (const [index, { path, value, before }] of [...told, undefined]
        .map((each) => each ?? { path: END, value: NaN, before: rest })
        .entries()) {
        const found = fitting(start, answers);
        const where = `${seed.toString()}.${index.toString()}`;
        const paths = found.fits.map(({ waits }) => (waits.kind === 'end' ? END : waits.path));
        if (!found.isWhole && !paths.includes(path)) break;
        expect([where, paths]).toEqual([where, expect.arrayContaining([path])]);
        // What is sure to be done was done, in this order; what is sure to lie so lies so.
        const scenes = before.map((scene) => scene);
        let at = 0;
        for (const moment of found.moments.slice(1)) {
          // An out is said before its clear-up, and acted out behind it.
          if (stepAt(procedure.steps, pathOf(moment.path))?.do === 'out') continue;
          if (!moment.isDone || !found.isWhole) continue;
          const next = scenes.findIndex((scene, which) => which >= at && scene.path === moment.path);
          expect([where, moment.path, next >= 0]).toEqual([where, moment.path, true]);
          at = next + 1;
          if (!moment.isCertain || moment.world.packets.includes(undefined)) continue;
          expect([where, lies(moment.world.packets.map((cards) => ({ cards: cards ?? [] })))]).toEqual([
            where,
            lies(
              start[0].followed.program.packets.map((name) => ({
                cards: scenes[next].packets.find((packet) => packet.name === name)?.cards ?? [],
              })),
            ),
          ]);
        }
        if (new Set(paths).size > 1) answers.push({ at: path });
        if (path === END) {
          const ends = found.fits.flatMap(({ waits }) => (waits.kind === 'end' ? [waits.how] : []));
          if (found.isWhole) expect([where, ends]).toEqual([where, expect.arrayContaining([acted.end])]);
          // Where too much is open nothing is judged but what the performer does: take the out, or not.
          else expect([where, ends.includes('outs')]).toEqual([where, acted.end === 'outs']);
          // Nothing can hold any more only where nothing does.
          if (acted.end === 'held') expect(found.lost).toBeUndefined();
          break;
        }
        const values = found.fits.flatMap(({ waits }) => (waits.kind === 'see' ? [waits.value] : []));
        if (values.length > 0 && found.isWhole)
          expect([where, values]).toEqual([where, expect.arrayContaining([value])]);
        // An indifferent card shows as one that nobody named.
        answers.push({ value: isCard(value) || value < 127 ? value : 127 });
      }
    }
  },
);
