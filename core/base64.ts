/** Knows bytes written as text (RFC 4648). */

/** The bytes of a text in base64; throws where it is none. */
export function bytesOf(text: string): Uint8Array<ArrayBuffer> {
  const plain = atob(text);
  const bytes = new Uint8Array(plain.length);
  for (let i = 0; i < bytes.length; i++) bytes[i] = plain.charCodeAt(i);
  return bytes;
}
