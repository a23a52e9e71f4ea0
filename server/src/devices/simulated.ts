import { setTimeout as wait } from 'node:timers/promises';
import { hashText, pressStreamQuerySchema, readWith, scaleStreamQuerySchema, seededRandom, simulatedPress, type Reading } from '@yardland/core';
import { check } from '../http/refusal';
import { Unplugged, type Device } from './device';

/** A press test takes this long, a weighing this long, seconds. */
const PRESS_S = 60;
const WEIGH_S = 6;
const PER_SECOND = 4;

/** A number from 0 to 1 that belongs to a text: the same sample is the same foam on every day. */
const belonging = (text: string): number => parseInt(hashText(text).slice(-6), 16) / 0xffffff;

/** Reads `value` four times a second until `seconds` have passed; `speed` makes the clock run faster. Half-way the plug is pulled where asked for. */
async function* readings(seconds: number, speed: number, unplug: boolean, signal: AbortSignal, value: (second: number) => number): AsyncGenerator<Reading> {
  const count = seconds * PER_SECOND;
  for (let i = 0; i <= count && !signal.aborted; i++) {
    const second = i / PER_SECOND;
    if (unplug && second >= seconds / 2) throw new Unplugged();
    yield { second, value: value(second), done: i === count };
    if (i < count) await wait(1000 / PER_SECOND / speed, undefined, { signal }).catch(() => undefined);
  }
}

/** The simulated press gauge and scale. */
export function simulatedDevices(speed: number): readonly Device[] {
  return [
    {
      id: 'press-gauge',
      name: 'Press gauge',
      simulated: true,
      stream: (query, signal) => {
        const { massKg, plateAreaCm2, thicknessMm, unplug } = check(pressStreamQuerySchema, query, readWith);
        const foam = { hardness25N: 100 + 140 * belonging(`foam ${thicknessMm}`), supportFactor: 1.9 + belonging(`support ${thicknessMm}`), thicknessMm };
        return readings(PRESS_S, speed, unplug === 'yes', signal, simulatedPress(foam, massKg, plateAreaCm2, Math.round(massKg * 1000)));
      },
    },
    {
      id: 'scale',
      name: 'Scale',
      simulated: true,
      stream: (query, signal) => {
        const { litres, unplug } = check(scaleStreamQuerySchema, query, readWith);
        const kg = (litres / 1000) * (22 + 25 * belonging(`density ${litres.toFixed(2)}`));
        const random = seededRandom(Math.round(litres * 100));
        // It swings in over the first seconds, then trembles by half a gram.
        return readings(
          WEIGH_S,
          speed,
          unplug === 'yes',
          signal,
          (second) => kg * (1 + 0.2 * Math.exp(-second * 1.4) * Math.cos(second * 6)) + (random() - 0.5) / 1000,
        );
      },
    },
  ];
}
