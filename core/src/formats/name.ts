import { Outcome } from '../deck/problem';

/** The longest name, in characters as Unicode counts them. */
export const NAME_LIMIT = 120;

/** What cannot be seen, or changes the direction of what stands beside it. */
const INVISIBLE = /[\p{Cc}\p{Cf}\p{Co}\p{Cs}\p{Zl}\p{Zp}\p{Default_Ignorable_Code_Point}\u2800]/gu;

/** An emoji made of several: their joiners and the sign that asks for a picture belong to it. */
const EMOJI =
  /\p{Extended_Pictographic}(?:\ufe0f|\p{Emoji_Modifier})?(?:\u200d\p{Extended_Pictographic}(?:\ufe0f|\p{Emoji_Modifier})?)*/gu;

const withoutInvisible = (text: string): string => {
  let [result, from] = ['', 0];
  for (const { 0: emoji, index } of text.matchAll(EMOJI)) {
    result += text.slice(from, index).replace(INVISIBLE, '') + emoji;
    from = index + emoji.length;
  }
  return result + text.slice(from).replace(INVISIBLE, '');
};

/** Whether a text holds what cannot be seen, or what changes the direction of what stands beside it. */
export const hasInvisible = (text: string): boolean => withoutInvisible(text) !== text;

/** A name as it is kept: in Unicode's composed form, with no invisible characters and single blanks between words. */
export const makeName = (text: string): string =>
  withoutInvisible(text.normalize('NFC').replace(/\s+/gu, ' ')).replace(/ +/g, ' ').trim().normalize('NFC');

/** A name while it is typed: what a name never holds is left out, a blank at its end may go on. */
export const typedName = (text: string): string =>
  [...withoutInvisible(text.replace(/\s/gu, ' ')).replace(/[<>]/g, '')].slice(0, NAME_LIMIT).join('');

/** What is wrong with a name that is typed, or undefined. It is kept as `makeName` makes it. */
export const nameProblem = (text: string): string | undefined => {
  const name = makeName(text);
  const { length } = [...name];
  if (name === '') return 'Give it a name.';
  if (length > NAME_LIMIT) return `A name has at most ${NAME_LIMIT} characters; this one has ${length}.`;
  if (/[<>]/.test(name)) return 'A name holds no < or >; take them out.';
  return undefined;
};

/** Reads a name from storage or a file, where it stands as `makeName` made it. */
export const parseName = (value: unknown): Outcome<{ readonly name: string }> => {
  const what =
    typeof value !== 'string'
      ? 'The name must be text.'
      : (nameProblem(value) ??
        (makeName(value) === value ? undefined : 'The name holds characters that cannot be seen.'));
  return what === undefined
    ? { ok: true, name: value as string }
    : { ok: false, problems: [{ what, remedy: 'Write another name.' }] };
};

/** Names that some system keeps for devices. */
const RESERVED = /^(?:con|prn|aux|nul|com\d|lpt\d)$/;

/** The longest file name without its ending, in bytes of UTF-8: some systems take 255 with all that is added. */
const FILE_NAME_BYTES = 180;

const bytesOf = (character: string): number => {
  const point = character.codePointAt(0) ?? 0;
  return point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4;
};

/**
 * A file name that every system takes, from any text: letters, digits and hyphens, in small letters.
 *
 * @param ending without the dot, such as `csv`.
 */
export const fileName = (text: string, ending: string): string => {
  const plain = text
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\p{M}]+/gu, '-');
  let [kept, bytes] = ['', 0];
  for (const character of plain) {
    bytes += bytesOf(character);
    if (bytes > FILE_NAME_BYTES) break;
    kept += character;
  }
  const bare = kept.replace(/^[-\p{M}]+|-+$/gu, '');
  return `${bare === '' ? 'order' : RESERVED.test(bare) ? `order-${bare}` : bare}.${ending}`;
};
