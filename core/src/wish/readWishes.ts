import { countOf } from '../deck/countOf';
import { LARGEST_PACK } from '../deck/card';
import { Outcome, Problem } from '../deck/problem';
import { Fields, Part, shape, shouldBe } from '../deck/shape';
import { cardNamed } from '../procedure/laid';
import { INDIFFERENT } from '../procedure/packets';
import { lookOf } from './look';
import { WishList, WishName } from './wish';
import { WISHES } from './wishes';

/** What a file of wishes says it is. */
export const FORMAT = 'enumeron wishes';
export const VERSION = 1;
/** The most wishes of a list, and how deep one may stand inside others. */
export const MOST_WISHES = 100;
const DEEPEST = 6;
const LONGEST_NAME = 200;
/** The fewest cards of a pack that is arranged. */
export const FEWEST_CARDS = 4;

const KEYS = ['format', 'version', 'name', 'pack', 'start', 'wishes'];

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What is wrong inside a value stands in what is said: where it is stays that of the whole. */
const inWords = ({ what, where, remedy }: Problem): Problem => ({
  what: where === undefined ? what : `In “${where}”: ${what}`,
  remedy,
});

/** A wish of a kind with its fields, as deep as wishes may still stand in it; and what does not fit together. */
const wishPart =
  (size: number, deep: number): Part =>
  (value, fields) => {
    if (!isFields(value)) return shouldBe(value, 'a wish');
    const kind = value['kind'];
    if (typeof kind !== 'string' || !Object.hasOwn(WISHES, kind))
      return { where: 'kind', ...shouldBe(kind, `one of ${Object.keys(WISHES).join(', ')}`) };
    if (deep === 0) return { what: 'It stands inside too many others.', remedy: 'Say it in another way.' };
    const known = WISHES[kind as WishName];
    const inner = wishPart(size, deep - 1);
    const parts = Object.fromEntries(
      Object.entries(known.fields).map(([field, slot]) => [field, innerPart(field, inner) ?? slot.part]),
    );
    const problem = shape(parts, ['kind'])(value, fields);
    return problem ?? known.whyNot?.(value as never, size);
  };

/** What stands in a field that holds other wishes. */
const innerPart = (field: string, inner: Part): Part | undefined => {
  if (field === 'wish') return inner;
  if (field !== 'wishes') return undefined;
  return (value, fields) => {
    if (!Array.isArray(value) || value.length === 0 || value.length > MOST_WISHES)
      return shouldBe(value, `a list of 1 to ${MOST_WISHES} wishes`);
    for (const [index, each] of value.entries()) {
      const problem = inner(each, fields);
      if (problem) return { ...problem, where: `${index + 1}${problem.where ? ` › ${problem.where}` : ''}` };
    }
    return undefined;
  };
};

/** What is wrong with one wish for a pack of so many cards; undefined where it is right. */
export const wishProblem = (value: unknown, size: number): Problem | undefined => {
  const problem = wishPart(size, DEEPEST)(value, {});
  return problem && inWords(problem);
};

const listedProblem = (value: unknown, size: number): Problem | undefined => {
  if (!isFields(value) || !('weight' in value)) return wishProblem(value, size);
  const { weight, ...wish } = value;
  if (weight !== undefined && !(typeof weight === 'number' && weight > 0 && Number.isFinite(weight)))
    return inWords({ where: 'weight', ...shouldBe(weight, 'a number above 0') });
  return wishProblem(wish, size);
};

const packProblem = (value: unknown): Problem | undefined => {
  if (!Array.isArray(value)) return shouldBe(value, 'a list of cards');
  const cards = value as readonly unknown[];
  if (cards.length < FEWEST_CARDS || cards.length > LARGEST_PACK)
    return {
      what: `It has ${countOf(cards.length, 'card')}.`,
      remedy: `List ${FEWEST_CARDS} to ${LARGEST_PACK}.`,
    };
  const bad = cards.find((card) => typeof card !== 'string' || cardNamed(card) === undefined);
  if (bad !== undefined) return shouldBe(bad, 'a card such as 7D, TC, X1, 7D* or -');
  const twice = cards.find((card, index) => card !== '-' && cards.indexOf(card) !== index);
  return typeof twice !== 'string'
    ? undefined
    : { what: `${twice} comes twice.`, remedy: `Write the second one as ${twice}*.` };
};

const startProblem = (value: unknown, pack: readonly string[]): Problem | undefined => {
  if (!Array.isArray(value)) return shouldBe(value, 'a list of cards');
  if (value.length !== pack.length)
    return {
      what: `It has ${countOf(value.length, 'place')}, the pack ${countOf(pack.length, 'card')}.`,
      remedy: 'Write a card or null for each place.',
    };
  const left = pack.map((card) => lookOf(cardNamed(card) ?? INDIFFERENT));
  for (const [index, card] of (value as readonly unknown[]).entries()) {
    if (card === null) continue;
    const named = typeof card === 'string' ? cardNamed(card) : undefined;
    const at = named === undefined ? -1 : left.indexOf(lookOf(named));
    if (at < 0)
      return named === undefined
        ? {
            ...shouldBe(card, 'a card of the pack, or null'),
            what: `At ${index + 1}: ${shouldBe(card, '').what}`,
          }
        : {
            what: `At ${index + 1}: ${card as string} is not in the pack, or not so often.`,
            remedy: 'Write another card, or null.',
          };
    left.splice(at, 1);
  }
  return undefined;
};

const fileProblem = (value: Fields): Problem | undefined => {
  const odd = Object.keys(value).find((key) => !KEYS.includes(key));
  if (odd !== undefined)
    return { what: `“${odd.slice(0, 20)}” does not belong here.`, remedy: 'Take it out.' };
  const { format, version, name, wishes } = value;
  if (format !== undefined && format !== FORMAT)
    return { what: 'These are no wishes of Enumeron.', remedy: 'Choose another file.' };
  if (version !== undefined && version !== VERSION)
    return { what: 'This version is not known here.', remedy: `Use version ${VERSION}.` };
  if (name !== undefined && !(typeof name === 'string' && name.length <= LONGEST_NAME))
    return inWords({ where: 'name', ...shouldBe(name, `a text of at most ${LONGEST_NAME} characters`) });
  if (!Array.isArray(wishes)) return inWords({ where: 'wishes', ...shouldBe(wishes, 'a list') });
  return wishes.length > MOST_WISHES
    ? { what: `There are ${wishes.length} wishes.`, remedy: `List at most ${MOST_WISHES}.` }
    : undefined;
};

/**
 * Reads a list of wishes from what was stored or sent.
 *
 * @returns the very value, or what is wrong: in the `File`, the `Pack`, the `Start` or a `Wish 3`.
 */
export const readWishes = (value: unknown): Outcome<{ readonly list: WishList }> => {
  if (!isFields(value))
    return {
      ok: false,
      problems: [{ where: 'File', what: 'These are no wishes.', remedy: 'Choose another file.' }],
    };
  const problems: Problem[] = [];
  const note = (where: string, problem: Problem | undefined): void => {
    if (problem) problems.push({ ...problem, where });
  };
  note('File', fileProblem(value));
  const noPack = packProblem(value['pack']);
  note('Pack', noPack);
  const pack = noPack ? [] : (value['pack'] as readonly string[]);
  if (value['start'] !== undefined && !noPack) note('Start', startProblem(value['start'], pack));
  const wishes = Array.isArray(value['wishes']) ? (value['wishes'] as readonly unknown[]) : [];
  if (problems.every(({ where }) => where !== 'File' && where !== 'Pack'))
    wishes.forEach((wish, index) => note(`Wish ${index + 1}`, listedProblem(wish, pack.length)));
  return problems.length > 0 ? { ok: false, problems } : { ok: true, list: value as unknown as WishList };
};
