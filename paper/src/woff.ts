import { inflateSync } from 'node:zlib';

const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

/**
 * A font file with its tables unpacked (WOFF File Format 1.0, W3C 2012, sections 3 to 5), so that each paper that embeds it need not unpack them again. A file that is not
 * packed is given back as it is. Throws RangeError on one that is cut short.
 */
export function unpackedFont(file: Buffer): Buffer {
  if (file.toString('latin1', 0, 4) !== 'wOFF') return file;
  const count = file.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = WOFF_HEADER + i * WOFF_ENTRY;
    const [offset, packed, length] = [file.readUInt32BE(at + 4), file.readUInt32BE(at + 8), file.readUInt32BE(at + 12)];
    const data = file.subarray(offset, offset + packed);
    return { tag: file.subarray(at, at + 4), checksum: file.readUInt32BE(at + 16), data: packed < length ? inflateSync(data) : data };
  });
  const aligned = (bytes: number): number => (bytes + 3) & ~3;
  const head = SFNT_HEADER + count * SFNT_ENTRY;
  const out = Buffer.alloc(tables.reduce((sum, { data }) => sum + aligned(data.length), head));
  const power = 2 ** Math.floor(Math.log2(count));
  file.copy(out, 0, 4, 8);
  out.writeUInt16BE(count, 4);
  out.writeUInt16BE(power * 16, 6);
  out.writeUInt16BE(Math.log2(power), 8);
  out.writeUInt16BE((count - power) * 16, 10);
  let offset = head;
  tables.forEach(({ tag, checksum, data }, i) => {
    const at = SFNT_HEADER + i * SFNT_ENTRY;
    tag.copy(out, at);
    out.writeUInt32BE(checksum, at + 4);
    out.writeUInt32BE(offset, at + 8);
    out.writeUInt32BE(data.length, at + 12);
    data.copy(out, offset);
    offset += aligned(data.length);
  });
  return out;
}
