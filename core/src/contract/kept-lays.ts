import * as z from 'zod';
import { LAY_ENGINE } from '../lay/engine/version';
import type { LayAnswer } from '../lay/contract';

/** Lays of one job that are kept or sent at once, and pieces of one of them; both are far above what a shop cuts. */
export const MOST_KEPT_LAYS = 40;
const MOST_PLACEMENTS = 20_000;

/** The answer to the lay request of a hash. It is believed only after `validateLay` against that request. */
export interface KeptLay {
  readonly hash: string;
  readonly answer: LayAnswer;
}

const layAnswerSchema: z.ZodType<LayAnswer> = z.strictObject({
  format: z.literal('yardland/lay-answer@2'),
  placements: z
    .array(
      z.strictObject({
        item: z.string().max(200),
        copy: z.int().min(0),
        sheet: z.int().min(0),
        x: z.number(),
        y: z.number(),
        turn: z.number(),
      }),
    )
    .max(MOST_PLACEMENTS),
  sheets: z.int().min(0),
  lengthMm: z.number().min(0),
  unplaced: z.array(z.string().max(200)).max(MOST_PLACEMENTS),
  bound: z.number().min(0),
  use: z.number().min(0).max(1),
  patternAtMm: z.number().exactOptional(),
  moves: z.int().min(0),
  stopped: z.boolean(),
});

/** Lays of a job that were worked out already, so that neither its page nor its papers search for them again. Those of another engine are not among them. */
export const keptLaysSchema = z.strictObject({
  engine: z.literal(LAY_ENGINE),
  lays: z.array(z.strictObject({ hash: z.string().min(1).max(100), answer: layAnswerSchema })).max(MOST_KEPT_LAYS),
});
export type KeptLays = z.infer<typeof keptLaysSchema>;

/** The lays that come with the demo, by the file of their job: what `npm run demo-lays` found. */
export const demoLaysSchema = z.strictObject({ engine: keptLaysSchema.shape.engine, jobs: z.record(z.string(), keptLaysSchema.shape.lays) });
