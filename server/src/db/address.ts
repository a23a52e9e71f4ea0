import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import * as z from 'zod';

/** Where a running server is reached by the commands of the same folder, and by which key it knows them. */
const addressSchema = z.strictObject({ url: z.url(), key: z.string().min(32) });
export type ServerAddress = z.infer<typeof addressSchema>;

/** The header in which a command names the key. */
export const COMMAND_KEY = 'x-yardland-key';

const addressFile = (dataDir: string): string => path.join(dataDir, 'server.json');

/** A key for the commands of this folder, for as long as a server runs. */
export const commandKey = (): string => randomBytes(24).toString('base64url');

/** Notes where the server of a folder is; for this user's eyes only. */
export function noteAddress(dataDir: string, address: ServerAddress): void {
  fs.writeFileSync(addressFile(dataDir), JSON.stringify(address), { mode: 0o600 });
}

export function forgetAddress(dataDir: string): void {
  fs.rmSync(addressFile(dataDir), { force: true });
}

/** Where the server of a folder was noted to be; null where none was. */
export function notedAddress(dataDir: string): ServerAddress | null {
  try {
    return addressSchema.parse(JSON.parse(fs.readFileSync(addressFile(dataDir), 'utf8')));
  } catch {
    return null;
  }
}
