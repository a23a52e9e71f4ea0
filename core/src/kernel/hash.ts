/** Two mixed 32-bit multiplicative hashes; the constants are odd numbers with well-spread bits. */
function mixed(codes: number, codeAt: (i: number) => number): string {
  let high = 0xdeadbeef;
  let low = 0x41c6ce57;
  for (let i = 0; i < codes; i++) {
    const code = codeAt(i);
    high = Math.imul(high ^ code, 2654435761);
    low = Math.imul(low ^ code, 1597334677);
  }
  high = Math.imul(high ^ (high >>> 16), 2246822507) ^ Math.imul(low ^ (low >>> 13), 3266489909);
  low = Math.imul(low ^ (low >>> 16), 2246822507) ^ Math.imul(high ^ (high >>> 13), 3266489909);
  return (4294967296 * (2097151 & low) + (high >>> 0)).toString(16).padStart(14, '0');
}

/** A 53-bit hash of a text, as hexadecimal, for naming requests by their content (not for secrecy). */
export function hashText(text: string): string {
  return mixed(text.length, (i) => text.charCodeAt(i));
}

/** The same of numbers, by their bits: far quicker than by their digits. */
export function hashNumbers(values: Float64Array): string {
  const words = new Uint16Array(values.buffer, values.byteOffset, values.length * 4);
  return mixed(words.length, (i) => words[i] ?? 0);
}
