// Every sentence that a problem can be said in, for reading through and for translators: npm run messages
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { EVERY_SENTENCE } from '@yardland/core';
import { format, resolveConfig } from 'prettier';

/** A figure or a word in its place, by the name it has in the problem. */
const place = (key: string): string => `{${key}}`;

/** The page: a row a problem, its figures by name. Of a sentence that says one thing or another, the one that stands where nothing special is the case. */
export function messagesPage(): string {
  const rows = Object.entries(EVERY_SENTENCE)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([code, speak]) => {
      const [what, mend] = speak(place, place, { pressure: place, tension: place });
      return `| \`${code}\` | ${what} | ${mend} |`;
    });
  return `# What is said of problems

Made by \`npm run messages\` from the sentences themselves (\`core/src/say\`, and each construction's own): ${rows.length} problems, what is wrong and what to do about it. Figures stand in braces by their names. A spec holds this page to the sentences.

| code | what is wrong | what to do |
|---|---|---|
${rows.join('\n')}
`;
}

export const MESSAGES_FILE = path.join(fileURLToPath(new URL('..', import.meta.url)), 'docs/messages.md');
export const formatted = async (): Promise<string> => format(messagesPage(), { ...(await resolveConfig(MESSAGES_FILE)), filepath: MESSAGES_FILE });

if (process.argv[1] === fileURLToPath(import.meta.url)) fs.writeFileSync(MESSAGES_FILE, await formatted());
