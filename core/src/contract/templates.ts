import * as z from 'zod';
import { TEMPLATE_SIZES } from '../plan/cushion/as-cut/full-size';

export const TEMPLATE_PAPERS = ['a4', 'letter', 'a3', 'legal'] as const;

/** Papers of an order of work on the wall: each lies on its long side. */
export const WALL_PAPERS = ['a4', 'a3', 'letter', 'tabloid'] as const;
export type WallPaper = (typeof WALL_PAPERS)[number];

/** What labels are printed on: sheets of 24 or 30, or a label printer's roll. */
export const LABEL_STOCKS = ['a4', 'letter', 'roll'] as const;
/** Query of piece labels: of one cushion by its place from 1, or of the whole job. */
export const labelQuerySchema = z.strictObject({ stock: z.enum(LABEL_STOCKS).optional(), cushion: z.coerce.number().int().min(1).max(2000).optional() });

/** What is sent to the label printer: the labels of a job or of one cushion, from one on, counted from 1. */
export const labelPrintAskSchema = z.strictObject({
  job: z.uuid(),
  cushion: z.int().min(1).max(2000).optional(),
  from: z.int().min(1).max(10_000).optional(),
});

/** A print that was taken on: its name, and how many are before it. */
export const labelPrintTakenSchema = z.strictObject({ print: z.uuid(), before: z.int().min(0) });

/** What is told of a print: it waits behind another, a label is out, or how it ended. */
export const LABEL_PRINT_EVENTS = ['waiting', 'printed', 'done', 'out-of-labels', 'stopped', 'failed'] as const;
export type LabelPrintEvent = (typeof LABEL_PRINT_EVENTS)[number];

/** How far the label printer is. */
export const labelPrintSchema = z.strictObject({ printed: z.int().min(0), of: z.int().min(0) });
export type LabelPrint = z.infer<typeof labelPrintSchema>;

/** The shop's label printer; a simulated one says so. */
export const labelPrinterSchema = z.strictObject({ name: z.string(), simulated: z.boolean() });

/** Query of a template's print: tiles on a paper, or one sheet off a roll. `cut` is the largest plate, as it is cut. */
export const templatePrintQuerySchema = z.strictObject({
  paper: z.enum(TEMPLATE_PAPERS).optional(),
  size: z.enum(TEMPLATE_SIZES).optional(),
  /** A piece of the plan, by its id, in place of a size. */
  piece: z.string().max(60).optional(),
  rollWidthMm: z.coerce.number().min(200).max(3000).optional(),
});
