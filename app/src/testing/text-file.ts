/** A file that the user chose. jsdom's File does not give its bytes; this one does, and is as large as it says. */
export const textFile = (name: string, content: string | Uint8Array, size?: number): File => {
  const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content;
  return {
    name,
    size: size ?? bytes.length,
    arrayBuffer: () => Promise.resolve(bytes),
  } as unknown as File;
};
