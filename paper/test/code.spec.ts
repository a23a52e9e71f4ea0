import { plan } from '@yardland/core';
import decodeQR from 'qr/decode.js';
import { getDocumentProxy } from 'unpdf';
import { codeAddress, drawCode } from '../src/code';
import { labelsPdf } from '../src/labels';
import { makePaper } from '../src';
import { Sheet } from '../src/sheet';
import { demoJob, shop } from './demo-plan';

interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

// The reader of PDF files asks for it where it meets fonts; Node has it from version 21 on.
const buffers = ArrayBuffer.prototype as { transferToFixedLength?: (this: ArrayBuffer) => ArrayBuffer };
buffers.transferToFixedLength ??= function (): ArrayBuffer {
  return this.slice(0);
};

/** Small rectangles that a page of a PDF fills, from what the file itself draws. */
async function rectsIn(file: Uint8Array): Promise<Rect[]> {
  const page = await (await getDocumentProxy(new Uint8Array(file))).getPage(1);
  const { argsArray } = await page.getOperatorList();
  const rects: Rect[] = [];
  for (const args of argsArray as readonly unknown[]) {
    if (!Array.isArray(args)) continue;
    const [, paths] = args as [unknown, unknown];
    for (const path of Array.isArray(paths) ? (paths as unknown[]) : []) {
      if (!(path instanceof Float32Array)) continue;
      // A rectangle: moved to a corner, three lines, closed; each with its own code before its numbers.
      for (let i = 0; i + 12 < path.length; i += 13) {
        const [x1, y1, x2, y2] = [path[i + 1] ?? 0, path[i + 2] ?? 0, path[i + 7] ?? 0, path[i + 8] ?? 0];
        rects.push({ x: Math.min(x1, x2), y: Math.min(y1, y2), width: Math.abs(x2 - x1), height: Math.abs(y2 - y1) });
      }
    }
  }
  return rects;
}

/** What a reader of another library makes of rectangles, seen as a picture. */
function readCode(rects: readonly Rect[]): string {
  const box = {
    x: Math.min(...rects.map(({ x }) => x)),
    y: Math.min(...rects.map(({ y }) => y)),
    right: Math.max(...rects.map(({ x, width }) => x + width)),
    bottom: Math.max(...rects.map(({ y, height }) => y + height)),
  };
  const scale = 300 / (box.right - box.x);
  const side = 360;
  const data = new Uint8Array(side * side * 4).fill(255);
  for (const { x, y, width, height } of rects)
    for (let row = Math.round((y - box.y) * scale); row < Math.round((y + height - box.y) * scale); row++)
      for (let column = Math.round((x - box.x) * scale); column < Math.round((x + width - box.x) * scale); column++) {
        const at = (row + 30) * side + column + 30;
        data.fill(0, at * 4, at * 4 + 3);
      }
  return decodeQR({ width: side, height: side, data });
}

const LINK = 'https://lantern-house.local:4820/q/0d2f6d3a';

describe('codes on paper', () => {
  it('are read by another library as the address they were made of', async () => {
    const sheet = new Sheet([100, 100], 'code');
    const address = codeAddress(LINK, '3/s/sew/welt');
    drawCode(sheet, address, 10, 10, 60);
    expect(address).toBe('HTTPS://LANTERN-HOUSE.LOCAL:4820/Q/0D2F6D3A/3/S/SEW/WELT');
    expect(readCode(await rectsIn(await sheet.finish()))).toBe(address);
  });

  it('stand on every label and on the first page of ticket and cutting list, and on none where no other device reaches the shop', async () => {
    const planned = plan(demoJob('prompt-side-boxes'), shop);
    const dots = async (file: Uint8Array): Promise<number> => (await rectsIn(file)).filter(({ width, height }) => width < 30 && height < 3).length;
    const [bare, coded] = [await labelsPdf(planned, 1, 'roll'), await labelsPdf(planned, 1, 'roll', LINK)];
    expect((await dots(coded)) - (await dots(bare))).toBeGreaterThan(150);
    const labels = (await rectsIn(coded)).filter(({ width, height }) => width < 30 && height < 3);
    expect(readCode(labels)).toMatch(/^HTTPS:\/\/LANTERN-HOUSE\.LOCAL:4820\/Q\/0D2F6D3A\/2\/P\/[A-Z0-9%-]+$/);
    for (const kind of ['ticket', 'cutting-list', 'wall']) {
      const made = async (link: string | null) => {
        const paper = await makePaper(kind, planned, { index: 0, query: {}, stamp: { revision: 1, printedAt: new Date('2026-12-01T10:00:00Z'), link } });
        if (paper.kind !== 'file') throw new Error(paper.kind);
        return dots(paper.file);
      };
      expect((await made(LINK)) - (await made(null)))
        .withContext(kind)
        .toBeGreaterThan(150);
    }
  }, 60_000);
});
