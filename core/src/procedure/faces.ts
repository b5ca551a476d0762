import { Form, form, NONE } from './form';

/** What is seen where somebody looks through the faces of a packet. */
export const FACES: readonly Form[] = [
  form(
    'number',
    'how many of {how many of|, } lie in {in}',
    { 'how many of': 'these', in: 'packet' },
    ({ 'how many of': these, in: packet }) =>
      (world) => {
        const cards = these(world);
        return cards ? world.table.howMany(packet, cards) : NONE;
      },
    { since: 2 },
  ),
  form(
    'card',
    'the first of {first of|, } not in {not in}',
    { 'first of': 'these', 'not in': 'packet' },
    ({ 'first of': these, 'not in': packet }) =>
      (world) => {
        const cards = these(world);
        return cards ? world.table.firstMissing(packet, cards) : NONE;
      },
    { since: 2 },
  ),
  form(
    'card',
    'the first of {first among|, } met in {in} towards the {towards}',
    { 'first among': 'these', in: 'packet', towards: 'towards' },
    ({ 'first among': these, in: packet, towards }) =>
      (world) => {
        const cards = these(world);
        return cards ? world.table.firstMet(packet, 0, towards, cards) : NONE;
      },
    { since: 2 },
  ),
  form(
    'card',
    'the next card after {next after} in {in} towards the {towards}[ among {among|, }]',
    { 'next after': 'card', in: 'packet', towards: 'towards' },
    ({ 'next after': card, in: packet, towards, among }) =>
      (world) => {
        const after = card(world);
        const cards = among?.(world);
        if (after === NONE || (among && !cards)) return NONE;
        const place = world.table.placeOf(packet, after);
        return place > 0 ? world.table.firstMet(packet, place, towards, cards) : NONE;
      },
    { since: 2, more: { among: 'these' } },
  ),
  form(
    'number',
    'the place of the first two mates together in {mates together in}',
    { 'mates together in': 'packet' },
    ({ 'mates together in': packet }) =>
      ({ table }) =>
        table.matesTogether(packet),
    { since: 2 },
  ),
];
