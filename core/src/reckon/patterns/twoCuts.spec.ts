import stacks from '../../../test/vectors/stacks.json';
import { Card } from '../../deck/card';
import { parseCard, showCard } from '../../deck/notation';
import { Reckoned } from '../reckoning';
import { Prediction, pushOff, reckonTwoCuts } from './twoCuts';

const tidemark = stacks.tidemark.map((name) => parseCard(name) as Card);
const prediction: Prediction = { plain: 4, from: 5, to: 24, markEvery: 5 };

const notesOf = (outcome: Reckoned): readonly string[] => {
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  return outcome.reckoning.notes;
};

/** A pack on the table: each card with the side that it shows. */
type Table = readonly { readonly card: Card; readonly up: boolean }[];
const turnedOver = (packet: Table): Table => [...packet].reverse().map(({ card, up }) => ({ card, up: !up }));

test('the reset puts both packs back as they were, for every pair of cuts', () => {
  const sequence = [
    'plain 1',
    'plain 2',
    'plain 3',
    'plain 4',
    ...Array.from({ length: 20 }, (_, at) => `${at + 5}`),
  ];
  for (let first = 1; first < 52; first++)
    for (let second = first + 1; second <= 52; second++) {
      const table: Table = tidemark.map((card) => ({ card, up: false }));
      const once = [...turnedOver(table.slice(0, first)), ...table.slice(first)];
      const twice = [...turnedOver(once.slice(0, second)), ...once.slice(second)];
      const notes = notesOf(reckonTwoCuts(tidemark, tidemark[first - 1], tidemark[second - 1], prediction));
      const reset = notes.slice(notes.findIndex((note) => note.startsWith('Reset the pack')));
      // The card forced was shown and goes back onto the face-down ones.
      const faceUp = twice.filter(({ up }) => up);
      const faceDown = twice.filter(({ up }) => !up);
      expect(reset[0]).toContain(`put ${showCard(faceDown[0].card)} back on top of the face-down`);
      const packet = turnedOver(faceUp);
      expect(reset[1]).toContain(showCard(packet[0].card));
      const behind = faceDown.findIndex(({ card }) => reset[2].includes(`below ${showCard(card)}`)) + 1;
      const mended = [...faceDown.slice(0, behind), ...packet, ...faceDown.slice(behind)];
      expect(mended).toEqual(table);

      const push = pushOff(prediction, second - first);
      if (!push) {
        expect(reset).toHaveLength(3);
        continue;
      }
      const [pushed, shown, rest] = [
        sequence.slice(0, push.count),
        sequence[push.count],
        sequence.slice(push.count + 1),
      ];
      expect(shown).toBe(`${second - first}`);
      expect(reset[3]).toContain(
        rest.length > 0 ? `${shown} back on ${rest[0]}` : `${shown} back on the rest`,
      );
      const whole = [...pushed, shown, ...rest];
      expect(whole[Number(/at (\d+), right below the 4 plain cards/.exec(reset[4])?.[1]) - 1]).toBe('5');
      expect(whole[Number(/and 24 at (\d+)\./.exec(reset[4])?.[1]) - 1]).toBe('24');
    }
});

test('which of several marked cards, for every number', () => {
  const marked = Array.from({ length: 20 }, (_, at) => at + 5).filter((number) => (number - 4) % 5 === 0);
  for (let difference = 5; difference <= 24; difference++) {
    const outcome = reckonTwoCuts(tidemark, tidemark[9], tidemark[9 + difference], prediction);
    const answer = outcome.ok ? outcome.reckoning.answer : '';
    const which = /the (first|\d)(?:nd|rd|th)? marked card(?: \((\d+)\), then (\d) on)?: it says (\d+)/.exec(
      answer,
    );
    if (difference < 9) {
      expect(which).toBeNull();
      continue;
    }
    const number = marked[(which?.[1] === 'first' ? 1 : Number(which?.[1])) - 1];
    expect(number + Number(which?.[3] ?? 0)).toBe(difference);
    if (which?.[2] !== undefined) expect(number).toBe(Number(which[2]));
  }
});
