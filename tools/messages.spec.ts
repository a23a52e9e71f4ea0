import fs from 'node:fs';
import { EVERY_SENTENCE } from '@yardland/core';
import { formatted, MESSAGES_FILE } from './messages';

describe('the table of messages', () => {
  it('stands in the docs as the sentences are', async () => {
    expect(fs.readFileSync(MESSAGES_FILE, 'utf8')).toBe(await formatted());
  });

  it('has no sentence twice, and none that does not end', () => {
    const place = (key: string): string => `{${key}}`;
    const said = Object.entries(EVERY_SENTENCE).map(([code, speak]) => ({ code, parts: speak(place, place, { pressure: place, tension: place }) }));
    const whats = said.map(({ parts: [what] }) => what);
    expect(whats.filter((what, i) => whats.indexOf(what) !== i)).toEqual([]);
    // A sentence may go on with whatever it is given: then it ends with that.
    expect(said.filter(({ parts }) => parts.some((part) => part !== '' && !/[.?!}]$/.test(part))).map(({ code }) => code)).toEqual([]);
    expect(said.length).toBeGreaterThan(120);
  });
});
