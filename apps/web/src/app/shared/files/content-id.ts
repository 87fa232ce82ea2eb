/** An id that follows from a text, in the form of a UUID of version 8. Source: RFC 9562 (from memory). */
export const contentId = async (text: string): Promise<string> => {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
  const bytes = new Uint8Array(digest).slice(0, 16);
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x80;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return [0, 8, 12, 16, 20].map((at, part) => hex.slice(at, [8, 12, 16, 20, 32][part])).join('-');
};
