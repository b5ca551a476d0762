/** Texts as they travel in the fragment of an address: compressed by the platform, in letters that addresses have. */

/** So long a text is read at most, in characters: a small address could else unpack to more than a page can hold. */
const LONGEST = 400_000;
/** What a packed text begins with: how it is packed. */
const MARK = 'z1.';

const toLetters = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');

const toBytes = (letters: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(letters.replaceAll('-', '+').replaceAll('_', '/')), (letter) => letter.charCodeAt(0));

export const packText = async (text: string): Promise<string> => {
  const packed = new Blob([text]).stream().pipeThrough(new CompressionStream('deflate-raw'));
  return MARK + toLetters(new Uint8Array(await new Response(packed).arrayBuffer()));
};

/** The text that was packed; undefined where it is none, or longer than is read. */
export const unpackText = async (packed: string): Promise<string | undefined> => {
  if (!packed.startsWith(MARK)) return undefined;
  try {
    const bytes = new Blob([toBytes(packed.slice(MARK.length))]).stream();
    const reader = bytes
      .pipeThrough(new DecompressionStream('deflate-raw'))
      .pipeThrough(new TextDecoderStream('utf-8', { fatal: true }))
      .getReader();
    let text = '';
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return text;
      text += value;
      if (text.length > LONGEST) {
        await reader.cancel();
        return undefined;
      }
    }
  } catch {
    return undefined;
  }
};
