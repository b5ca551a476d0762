/** Texts as they travel in the fragment of an address: compressed by the platform, in letters that addresses have. */

/** So long a text is read at most, in characters: a small address could else unpack to more than a page can hold. */
const LONGEST = 400_000;
/** What a packed text begins with: how it is packed. */
const MARK = 'z1.';

const toLetters = (bytes: readonly number[]): string =>
  btoa(bytes.map((byte) => String.fromCharCode(byte)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');

const toBytes = (letters: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(letters.replaceAll('-', '+').replaceAll('_', '/')), (letter) => letter.charCodeAt(0));

/** What a platform's stream makes of bytes. */
const through = (
  bytes: Uint8Array<ArrayBuffer>,
  { readable, writable }: GenericTransformStream,
): ReadableStream<Uint8Array<ArrayBuffer>> => {
  const writer = writable.getWriter();
  // What is wrong comes out of the other end, too.
  writer.write(bytes).catch(() => undefined);
  writer.close().catch(() => undefined);
  return readable as ReadableStream<Uint8Array<ArrayBuffer>>;
};

export const packText = async (text: string): Promise<string> => {
  const bytes = new TextEncoder().encode(text);
  const reader = through(bytes, new CompressionStream('deflate-raw')).getReader();
  const packed: number[] = [];
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return MARK + toLetters(packed);
    packed.push(...value);
  }
};

/** The text that was packed; undefined where it is none, or longer than is read. */
export const unpackText = async (packed: string): Promise<string | undefined> => {
  if (!packed.startsWith(MARK)) return undefined;
  try {
    const bytes = toBytes(packed.slice(MARK.length));
    const reader = through(bytes, new DecompressionStream('deflate-raw')).getReader();
    const decoder = new TextDecoder('utf-8', { fatal: true });
    let text = '';
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return text + decoder.decode();
      text += decoder.decode(value, { stream: true });
      if (text.length > LONGEST) {
        await reader.cancel();
        return undefined;
      }
    }
  } catch {
    return undefined;
  }
};
