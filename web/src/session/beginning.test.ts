import { expect, it } from 'vitest';
import { familyById } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { countedZero, countZero, onGrid, readyAt, restEnd, simulatedLead } from './beginning.ts';

const counted = familyById('breakDrill')?.build(hornById('alto'), { tempoBpm: 120, start: 'countIn' });
if (!counted) throw new Error('There is no drill over the break.');
/** A bar of it, in seconds. */
const BAR = counted.beatsPerBar / 2;
const played = { ...counted, start: 'playToStart' as const };

it('counts a bar from now on, or as long as the simulated player needs for his air', () => {
  expect(countedZero(counted, 100, 0, null)).toBeCloseTo(100.15 + BAR, 9);
  expect(countedZero(counted, 100, BAR + 1, null)).toBeCloseTo(101.15 + BAR, 9);
  expect(simulatedLead(250)).toBe(1.25);
  expect(countZero(counted, 50)).toBe(50 - BAR);
});

it('keeps a beat that was wanted where it can still be counted, and else goes by whole bars', () => {
  const soonest = 100.15 + BAR;
  expect(countedZero(counted, 100, 0, soonest + 0.3)).toBeCloseTo(soonest + 0.3, 9);
  expect(countedZero(counted, 100, 0, soonest)).toBeCloseTo(soonest, 9);
  expect(countedZero(counted, 100, 0, soonest - 0.1)).toBeCloseTo(soonest - 0.1 + BAR, 9);
  expect(countedZero(counted, 100, 0, soonest - 2.5 * BAR)).toBeCloseTo(soonest + 0.5 * BAR, 9);
});

it('rests to a bar line of the phrase before where it is counted, and to the moment itself where a note is waited for', () => {
  expect(restEnd(played, 100, 103, 0)).toBe(103);
  expect(restEnd(played, 104, 103, 0)).toBe(104);
  const until = restEnd(counted, 100, 103, 90.1);
  expect(until).toBeGreaterThanOrEqual(103);
  expect(until).toBeLessThan(103 + BAR);
  expect((until - 90.1) / BAR).toBeCloseTo(Math.round((until - 90.1) / BAR), 9);
  // On the line itself it is this line, not the next; and there must be time for a bar and to make ready.
  expect(restEnd(counted, 90, 90 + 3 * BAR, 90)).toBeCloseTo(90 + 3 * BAR, 9);
  expect(restEnd(counted, 90 + 3 * BAR, 90, 90)).toBeCloseTo(90 + 5 * BAR, 9);
  expect(readyAt(counted, 110)).toBeCloseTo(110 - BAR - 0.4, 9);
  expect(readyAt(played, 110)).toBe(110);
});

it('begins what is simulated on a frame of the listener, never earlier', () => {
  expect(onGrid(3)).toBe(3);
  expect(onGrid(3.001)).toBeCloseTo(3.01, 9);
  expect(onGrid(3.0099999)).toBeCloseTo(3.01, 9);
});
