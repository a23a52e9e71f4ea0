/**
 * A 53-bit hash of a text, as hexadecimal, for naming requests by their content (not for secrecy).
 * Two mixed 32-bit multiplicative hashes joined; the constants are odd numbers with well-spread bits.
 */
export function hashText(text: string): string {
  let high = 0xdeadbeef;
  let low = 0x41c6ce57;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    high = Math.imul(high ^ code, 2654435761);
    low = Math.imul(low ^ code, 1597334677);
  }
  high = Math.imul(high ^ (high >>> 16), 2246822507) ^ Math.imul(low ^ (low >>> 13), 3266489909);
  low = Math.imul(low ^ (low >>> 16), 2246822507) ^ Math.imul(high ^ (high >>> 13), 3266489909);
  return (4294967296 * (2097151 & low) + (high >>> 0)).toString(16).padStart(14, '0');
}
