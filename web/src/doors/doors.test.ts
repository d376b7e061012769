import { FAMILIES } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { describe, expect, it } from 'vitest';
import { drillAddress } from '../addresses/index.ts';
import { englishInTests } from '../notation/englishInTests.ts';
import { ownAddress } from '../storage/index.ts';
import { faultOfRow } from '../storage/rowChecks.ts';
import { caseAt, DOORS } from './doors.ts';
import { JUDGED_TAKES, readTake } from './judgedTakes.ts';

/** So long each door is knocked at; `npm run fuzz` does it for minutes. */
const DOOR_MS = 700;
const LEAST_CASES = 20;
const SEED = Number(process.env.SEED ?? 5);

it('knows the address of every drill as its own, whatever is chosen in it', () => {
  const horn = hornById('alto');
  for (const family of FAMILIES) {
    const options = family.options(horn);
    const choices = Object.fromEntries(
      Object.entries(options ?? {}).map(([name, option]) => [
        name,
        'values' in option ? option.values.at(-1) : 'most' in option ? option.most : option.usual,
      ]),
    );
    const address = drillAddress(family, horn, choices as never);
    expect(ownAddress(address), address).toBe(address);
  }
});

it('takes what the app itself has judged', async () => {
  const t = await englishInTests();
  for (const take of JUDGED_TAKES) {
    expect(faultOfRow('takes', take), take.id).toBeNull();
    readTake(take, t);
  }
});

describe.each(DOORS.map(({ name }, door) => ({ name, door })))('$name', ({ name, door }) => {
  it('takes in what every reader can go on with, and refuses the rest in words', async () => {
    const until = performance.now() + DOOR_MS;
    const broken: string[] = [];
    let [n, taken] = [0, 0];
    for (; n < LEAST_CASES || performance.now() < until; n++) {
      const bytes = await caseAt(door, SEED, n);
      try {
        if (await DOORS[door].open(bytes)) taken++;
      } catch (error) {
        broken.push(`SEED=${SEED}, case ${n}: ${(error as Error).message.slice(0, 200)}`);
      }
    }
    console.log(`${name}: ${n} cases, ${taken} taken in, ${broken.length} broken`);
    expect(broken.slice(0, 10)).toEqual([]);
    // Both happen: a door that is always open or always shut would show nothing.
    expect(taken).toBeGreaterThan(0);
    expect(taken).toBeLessThan(n);
  });
});
