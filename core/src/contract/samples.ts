import * as z from 'zod';
import { sampleSchema } from '../filling/sample';

export const storedSampleSchema = z.strictObject({ id: z.uuid(), revision: z.int().positive(), sample: sampleSchema });
export type StoredSample = z.infer<typeof storedSampleSchema>;

export const sampleListSchema = z.strictObject({ samples: z.array(storedSampleSchema) });
/** Which revision of a sample was seen by whoever takes it away. */
export const dropSampleQuerySchema = z.strictObject({ revision: z.coerce.number().int().min(1) });
/** `revision`: the one that was seen; 0 for a sample that is new. */
export const writeSampleSchema = z.strictObject({ revision: z.int().min(0), sample: sampleSchema });

export const DEVICES = ['press-gauge', 'scale'] as const;
export type DeviceId = (typeof DEVICES)[number];

/** A device of the shop; simulated ones say so wherever they are shown. */
export const deviceListSchema = z.strictObject({
  devices: z.array(z.strictObject({ id: z.enum(DEVICES), name: z.string(), simulated: z.boolean() })),
});

export type DeviceList = z.infer<typeof deviceListSchema>['devices'];

/** One reading of a stream: millimetres for the gauge, kilograms for the scale. `done` after the minute that a press test takes. */
export const readingSchema = z.strictObject({ second: z.number(), value: z.number(), done: z.boolean() });
export type Reading = z.infer<typeof readingSchema>;

/** What the simulated camera looks at, traced sheets where it is not said; and which of its pictures is taken. */
export const pictureQuerySchema = z.strictObject({ of: z.enum(['sheet', 'cloth']).optional(), shot: z.coerce.number().int().min(0).max(1000).optional() });

export const pressStreamQuerySchema = z.strictObject({
  massKg: z.coerce.number().positive().max(500),
  plateAreaCm2: z.coerce.number().positive().max(5000),
  thicknessMm: z.coerce.number().positive().max(600),
  /** Pull the plug half-way, to see what happens then. */
  unplug: z.enum(['yes', 'no']).optional(),
});

export const scaleStreamQuerySchema = z.strictObject({
  /** Size of what lies on it: the simulated scale makes its weight from it. */
  litres: z.coerce.number().positive().max(2000),
  unplug: z.enum(['yes', 'no']).optional(),
});
