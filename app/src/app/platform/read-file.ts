import { Outcome } from '@enumeron/core/deck';

/** A size for people: `12 kB`. */
export const inWords = (bytes: number): string =>
  bytes >= 1_000_000 ? `${Math.round(bytes / 1_000_000)} MB` : `${Math.ceil(bytes / 1000)} kB`;

/**
 * The text of a file that the user chose. Its size is looked at first, so that a huge file is never read.
 *
 * @param limit the largest size in bytes.
 * @param holds what such a file holds, for the message: `an order`.
 */
export const readTextFile = async (
  file: File,
  limit: number,
  holds: string,
): Promise<Outcome<{ text: string }>> => {
  const refuse = (what: string, remedy: string): Outcome<{ text: string }> => ({
    ok: false,
    problems: [{ where: file.name, what, remedy }],
  });
  if (file.size === 0) return refuse('The file is empty.', `Choose a file that holds ${holds}.`);
  if (file.size > limit)
    return refuse(
      `The file has ${inWords(file.size)}, and a file with ${holds} has at most ${inWords(limit)}.`,
      'Choose another one; nothing has been read.',
    );
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
    if (text.includes('\0')) throw new TypeError('not text');
    return { ok: true, text: text.replace(/^\ufeff/, '') };
  } catch {
    return refuse('The file is not text.', `Choose a text file that holds ${holds}.`);
  }
};
