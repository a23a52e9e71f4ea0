import {
  archiveJobSchema,
  backedUpSchema,
  checkedJobsSchema,
  createJobSchema,
  deviceListSchema,
  dropEntryQuerySchema,
  dropSampleQuerySchema,
  healthSchema,
  heldRemnantsSchema,
  jobListSchema,
  jobQuerySchema,
  jobStepsSchema,
  keptLaysSchema,
  labelPrintAskSchema,
  labelPrinterSchema,
  labelPrintTakenSchema,
  learntTimesSchema,
  logFacetsSchema,
  logListSchema,
  logQuerySchema,
  madeTokenSchema,
  makeTokenSchema,
  pictureQuerySchema,
  pictureSchema,
  practiceStateSchema,
  promisedSchema,
  revisionSchema,
  sampleListSchema,
  saversSchema,
  sessionListSchema,
  shownDaySchema,
  standingSchema,
  stockUsesSchema,
  storedEntrySchema,
  storedJobSchema,
  storedSampleSchema,
  storedShopSchema,
  writtenShopSchema,
  tokenListSchema,
  whatIfSchema,
  writeEntrySchema,
  writeJobSchema,
  writeSampleSchema,
} from '@yardland/core';
import { PAPERS } from '@yardland/paper/papers';
import * as z from 'zod';

/** What is answered: JSON by a contract, a file of a media type, or nothing. */
type Answered = { readonly json: z.ZodType } | { readonly file: string } | null;

/** One thing that can be asked of the server. Its path has parameters in braces. */
export interface ApiOperation {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly does: string;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** A body that is a bare file of such a media type. */
  readonly bodyFile?: string;
  readonly status?: 200 | 201 | 204;
  readonly answers: Answered;
}

const json = (schema: z.ZodType): Answered => ({ json: schema });
const file = (media: string): Answered => ({ file: media });
const MEDIA = { pdf: 'application/pdf', csv: 'text/csv' } as const;
/** The whole plan is as the command line gives it; a program reads of it what it needs. */
const planSchema = z.looseObject({});

/** What a paper is, by its kind. A new one stands here once. */
const PAPER_WORDS: Readonly<Record<string, string>> = {
  ticket: 'The ticket of one cushion.',
  'cutting-list': 'The cutting list of the whole job.',
  labels: 'Piece labels.',
  template: 'A template in its full size.',
  'order-sheet': 'What to order of foam and wadding.',
  'order-table': 'The same as a table.',
  wall: 'The order of work of one cushion, for the wall.',
};

const papers = PAPERS.map(({ kind, path, ending, query }): ApiOperation => ({
  method: 'get',
  path: `/api/jobs/{id}/${path.replace(':cushion', '{cushion}')}.${ending}`,
  does: PAPER_WORDS[kind] ?? kind,
  ...(query instanceof z.ZodObject && Object.keys(query.shape).length ? { query } : {}),
  answers: file(MEDIA[ending]),
}));

const jobs: readonly ApiOperation[] = [
  {
    method: 'get',
    path: '/api/jobs',
    does: 'Jobs, the nearest due day first: searched, by state, a page at a time.',
    query: jobQuerySchema,
    answers: json(jobListSchema),
  },
  { method: 'post', path: '/api/jobs', does: 'Makes a job of a job document.', body: createJobSchema, status: 201, answers: json(storedJobSchema) },
  { method: 'get', path: '/api/jobs/held-remnants', does: 'Remnants that jobs have set aside.', answers: json(heldRemnantsSchema) },
  { method: 'get', path: '/api/jobs/{id}', does: 'A job, with its revision.', answers: json(storedJobSchema) },
  {
    method: 'put',
    path: '/api/jobs/{id}',
    does: 'Changes a job, as one step of undo. A revision that is no longer the newest is refused with 409 and the job as it stands.',
    body: writeJobSchema,
    answers: json(storedJobSchema),
  },
  { method: 'get', path: '/api/jobs/{id}/steps', does: 'Its changes on both sides of where it stands.', answers: json(jobStepsSchema) },
  { method: 'post', path: '/api/jobs/{id}/undo', does: 'Takes its last change back.', body: revisionSchema, answers: json(storedJobSchema) },
  { method: 'post', path: '/api/jobs/{id}/redo', does: 'Brings a change again.', body: revisionSchema, answers: json(storedJobSchema) },
  { method: 'post', path: '/api/jobs/{id}/archive', does: 'Puts it away, or brings it back.', body: archiveJobSchema, answers: json(storedJobSchema) },
  { method: 'post', path: '/api/jobs/{id}/duplicate', does: 'A copy of it, without what was done on the bench.', status: 201, answers: json(storedJobSchema) },
  { method: 'get', path: '/api/jobs/{id}/export', does: 'Its document as a file.', answers: file('application/json') },
  { method: 'get', path: '/api/jobs/{id}/plan', does: 'Its whole plan: sizes, pieces, seams, lays, what to buy, problems.', answers: json(planSchema) },
  { method: 'get', path: '/api/jobs/{id}/lays', does: 'Lays of it that were worked out already, by the hash of their request.', answers: json(keptLaysSchema) },
  {
    method: 'put',
    path: '/api/jobs/{id}/lays',
    does: 'Keeps lays that were worked out, for its pages and papers. They are checked against their requests before they are used.',
    body: keptLaysSchema,
    status: 204,
    answers: null,
  },
  ...papers,
  { method: 'post', path: '/api/jobs/{id}/pictures', does: 'Keeps a picture with the job.', bodyFile: 'image/*', status: 201, answers: json(pictureSchema) },
  { method: 'post', path: '/api/pictures', does: 'Keeps a picture that belongs to no job.', bodyFile: 'image/*', status: 201, answers: json(pictureSchema) },
  { method: 'post', path: '/api/practice', does: 'Makes a job with mistakes in it, to practise on.', status: 201, answers: json(storedJobSchema) },
  { method: 'get', path: '/api/practice/{id}', does: 'How far somebody is with a practice job.', answers: json(practiceStateSchema) },
  { method: 'get', path: '/api/pictures/{id}', does: 'A picture.', answers: file('image/jpeg') },
];

const shop: readonly ApiOperation[] = [
  { method: 'get', path: '/api/shop', does: 'The shop: catalogue, schools, ways, people, with its revision.', answers: json(storedShopSchema) },
  {
    method: 'put',
    path: '/api/shop',
    does: 'Changes the shop. A revision that is no longer the newest is refused with 409 and the shop as it stands.',
    body: writtenShopSchema,
    answers: json(storedShopSchema),
  },
  { method: 'get', path: '/api/shop/uses/{id}', does: 'Which jobs name a thing of the catalogue.', answers: json(stockUsesSchema) },
  { method: 'get', path: '/api/times', does: 'What the clock at the bench says of the shop’s rates.', answers: json(learntTimesSchema) },
  { method: 'get', path: '/api/samples', does: 'Bench samples.', answers: json(sampleListSchema) },
  { method: 'put', path: '/api/samples/{id}', does: 'Makes a sample (revision 0) or changes one.', body: writeSampleSchema, answers: json(storedSampleSchema) },
  { method: 'delete', path: '/api/samples/{id}', does: 'Drops a sample.', query: dropSampleQuerySchema, status: 204, answers: null },
];

const log: readonly ApiOperation[] = [
  {
    method: 'get',
    path: '/api/log',
    does: 'The log, newest first: found by words and by what jobs are made of.',
    query: logQuerySchema,
    answers: json(logListSchema),
  },
  { method: 'get', path: '/api/log/facets', does: 'What it can be narrowed by.', answers: json(logFacetsSchema) },
  { method: 'get', path: '/api/log/log.csv', does: 'The log as a table.', query: logQuerySchema, answers: file('text/csv') },
  { method: 'get', path: '/api/log/checked', does: 'Jobs with checks, for learning from them.', answers: json(checkedJobsSchema) },
  { method: 'put', path: '/api/log/{id}', does: 'Writes an entry (revision 0) or corrects one.', body: writeEntrySchema, answers: json(storedEntrySchema) },
  { method: 'delete', path: '/api/log/{id}', does: 'Drops an entry.', query: dropEntryQuerySchema, status: 204, answers: null },
];

const day: readonly ApiOperation[] = [
  { method: 'get', path: '/api/day', does: 'The plan of the day, from now on.', answers: json(shownDaySchema) },
  {
    method: 'post',
    path: '/api/day/what-if',
    does: 'The plan with something tried out; nothing of it is kept.',
    body: whatIfSchema,
    answers: json(shownDaySchema),
  },
  { method: 'put', path: '/api/day/standing', does: 'Puts a plan back that the next one goes on from.', body: standingSchema, status: 204, answers: null },
  { method: 'delete', path: '/api/day/standing', does: 'Lets the plan that stands go: the next is made anew.', status: 204, answers: null },
  { method: 'get', path: '/api/day/promise/{id}', does: 'What can be promised for a job that is not at work yet.', answers: json(promisedSchema) },
  { method: 'get', path: '/api/day/savers/{id}', does: 'What would bring a late job in.', answers: json(saversSchema) },
  { method: 'get', path: '/api/day/day.pdf', does: 'The plan of the day for the wall.', answers: file('application/pdf') },
];

const devices: readonly ApiOperation[] = [
  { method: 'get', path: '/api/devices', does: 'Devices of the shop; simulated ones say so.', answers: json(deviceListSchema) },
  {
    method: 'get',
    path: '/api/devices/{id}/stream',
    does: 'Readings of a device as server-sent events: reading, done, unplugged.',
    answers: file('text/event-stream'),
  },
  {
    method: 'get',
    path: '/api/devices/camera/picture',
    does: 'One of the simulated camera’s pictures: of a traced sheet, or of a cloth.',
    query: pictureQuerySchema,
    answers: file('image/jpeg'),
  },
  { method: 'get', path: '/api/devices/label-printer', does: 'The label printer.', answers: json(labelPrinterSchema) },
  { method: 'post', path: '/api/devices/label-printer/new-roll', does: 'A new roll was put in.', status: 204, answers: null },
  {
    method: 'post',
    path: '/api/devices/label-printer/print',
    does: 'Prints the labels of a job or a cushion.',
    body: labelPrintAskSchema,
    status: 201,
    answers: json(labelPrintTakenSchema),
  },
  { method: 'get', path: '/api/devices/label-printer/print/{id}', does: 'How far a print is, as server-sent events.', answers: file('text/event-stream') },
];

const house: readonly ApiOperation[] = [
  { method: 'get', path: '/api/health', does: 'How the server is, and how full.', answers: json(healthSchema) },
  { method: 'get', path: '/api/openapi.json', does: 'This description (OpenAPI 3.1).', answers: json(planSchema) },
  { method: 'get', path: '/api/sessions', does: 'Who is signed in. For people only.', answers: json(sessionListSchema) },
  { method: 'delete', path: '/api/sessions/{id}', does: 'Ends a session. For people only.', status: 204, answers: null },
  { method: 'get', path: '/api/tokens', does: 'Tokens of the shop’s programs. For people only.', answers: json(tokenListSchema) },
  {
    method: 'post',
    path: '/api/tokens',
    does: 'Makes a token; its text is told this once. For people only.',
    body: makeTokenSchema,
    status: 201,
    answers: json(madeTokenSchema),
  },
  { method: 'delete', path: '/api/tokens/{id}', does: 'Ends a token. For people only.', status: 204, answers: null },
  {
    method: 'get',
    path: '/api/backups',
    does: 'Backups that there are. For people only.',
    answers: json(z.strictObject({ backups: z.array(z.looseObject({ name: z.string() })) })),
  },
  { method: 'post', path: '/api/backups', does: 'Makes a backup now. For people only.', status: 201, answers: json(backedUpSchema) },
];

/** Everything that can be asked of the server, by rooms. */
export const OPERATIONS: readonly { readonly room: string; readonly operations: readonly ApiOperation[] }[] = [
  { room: 'Jobs', operations: jobs },
  { room: 'Shop', operations: shop },
  { room: 'Log', operations: log },
  { room: 'Day', operations: day },
  { room: 'Devices', operations: devices },
  { room: 'House', operations: house },
];
