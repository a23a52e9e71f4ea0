import fs from 'node:fs';
import { planSolved } from '@yardland/core';
import { gltfText, looksOf, rgbOf, solidJson, solidOf } from '@yardland/core/solid';
import { inWords, readJobFile, readShop } from '../read';
import { refusal, type Verb } from '../verb';

const refused = (code: string, path: string, message: string) => refusal([{ code, path, message }]);

/** The number of a cushion in its job, from 1 (0 is taken for the first too); null for anything else. */
function indexOf(text: string, count: number): number | null {
  const number = /^\d{1,4}$/.test(text) ? Math.max(1, Number(text)) : NaN;
  return number <= count ? number - 1 : null;
}

/** A cushion of a job in the round. */
export const solidVerb: Verb = {
  name: 'solid',
  usage: 'solid JOB.json --cushion N [--bulge SHARE] [--out FILE.gltf] [--shop SHOP.json]',
  does: 'prints the Nth cushion in the round as a mesh, a part a piece, or writes it as glTF; --bulge 0 leaves the band straight, 1 as predicted',
  options: ['cushion', 'bulge', 'out', 'shop'],
  run([file], options) {
    const job = readJobFile(file);
    if (!job.ok) return refusal(inWords(job.problems));
    const shop = readShop(options['shop']);
    if (!shop.ok) return refusal(inWords(shop.problems));
    const { cushions } = job.value;
    const index = indexOf(options['cushion'] ?? '1', cushions.length);
    if (index === null) return refused('cushion-unknown', '--cushion', `The job has ${cushions.length} cushions: name one from 1 to ${cushions.length}.`);
    const bulge = Number(options['bulge'] ?? '1');
    if (!(bulge >= 0 && bulge <= 1)) return refused('bulge-out-of-range', '--bulge', 'The bulge is a share of what is predicted, from 0 to 1.');
    // Lays take time and change no shape.
    const plan = planSolved(job.value, shop.value, ({ request }) => request.format !== 'yardland/lay-request@2');
    const one = plan.cushions[index];
    if (one?.state !== 'planned') return refusal(inWords(one?.problems ?? []));
    const solid = solidOf(one, { bulge });
    if (!solid) return refused('nothing-to-show', '', 'This cushion has no cover to be shown.');
    const out = options['out'];
    if (out === undefined) return { code: 0, out: `${JSON.stringify(solidJson(solid))}\n` };
    const looks = looksOf(one, job.value, shop.value);
    const gltf = gltfText(solid, one.source.name, (material) => {
      const { name, tint } = looks(material);
      return { name, colour: rgbOf(tint) };
    });
    try {
      fs.writeFileSync(out, gltf);
    } catch {
      return refused('file-not-written', '--out', `“${out}” could not be written.`);
    }
    return { code: 0, out: `${JSON.stringify({ file: out, parts: solid.parts.length })}\n` };
  },
};
