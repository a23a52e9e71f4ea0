import { isCurrent } from '@yardland/core';
import type { Response } from 'express';
import { Refusal } from '../http/refusal';
import type { JobRow } from './jobs.sql';
import type { JobReading } from './reading';

/** Why a stored job cannot be handed on. */
export const damaged = (): Refusal =>
  new Refusal(500, {
    code: 'stored-job-damaged',
    path: '',
    message: 'This job cannot be read as it is stored. Restore a backup, or take an earlier step of it.',
  });

/** The text of a stored job in today's format: as it is, or brought up to date. Throws a Refusal where it is damaged. */
export async function currentText(document: string, reading: JobReading): Promise<string> {
  if (isCurrent(document)) return document;
  const read = await reading.upToDate(document);
  if (!read) throw damaged();
  return read.document;
}

/** A stored job as JSON text, its document put in as it is stored: neither read nor written again. */
export async function storedText(row: JobRow, reading: JobReading): Promise<string> {
  const head = JSON.stringify({ id: row.id, revision: row.revision, archived: row.archived === 1, undo: row.undo, redo: row.redo });
  return `${head.slice(0, -1)},"job":${await currentText(row.document, reading)}}`;
}

/** Answers with a stored job. */
export async function sendStored(response: Response, row: JobRow, reading: JobReading, status = 200): Promise<void> {
  response
    .status(status)
    .type('json')
    .send(await storedText(row, reading));
}
