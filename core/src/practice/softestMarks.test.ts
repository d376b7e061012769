import { expect, it } from 'vitest';
import { DEFAULT_SCALE, levelAtFraction, markFraction, type DynamicMark } from '../exercise/index.ts';
import { KEPT_FIGURES } from '../figures/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { softestMarks, type PractisedNote } from './index.ts';

const NOW = 1e12;
const DAY_MS = 86_400_000;

function played(midi: number, mark: DynamicMark, more: Partial<PractisedNote> = {}): PractisedNote {
  const softestDb = levelAtFraction(markFraction(mark), DEFAULT_SCALE);
  return {
    family: 'chromaticTones',
    writtenMidi: writtenMidi(midi),
    fingeredMidi: writtenMidi(midi),
    day: '2026-01-01',
    at: NOW - DAY_MS,
    seconds: 4,
    asWritten: true,
    figures: KEPT_FIGURES.map((name) => (name === 'softestDb' ? softestDb : null)),
    ...more,
  };
}

const marksOf = (...notes: PractisedNote[]) => [...softestMarks(notes, DEFAULT_SCALE, NOW)];

it('is the softest of a note that was as written, note by note, lowest first', () => {
  expect(marksOf(played(60, 'p'), played(58, 'mp'), played(60, 'pp'))).toEqual([
    [58, 'mp'],
    [60, 'pp'],
  ]);
  expect(marksOf(played(60, 'mp'), played(60, 'ppp', { asWritten: false }))).toEqual([[60, 'mp']]);
});

it('leaves out what is long ago, overblown, silent, or was played loudly only', () => {
  expect(marksOf(played(60, 'pp', { at: NOW - 40 * DAY_MS }))).toEqual([]);
  expect(marksOf(played(77, 'pp', { fingeredMidi: writtenMidi(58) }))).toEqual([]);
  expect(marksOf(played(60, 'pp', { figures: KEPT_FIGURES.map(() => null) }))).toEqual([]);
  expect(marksOf(played(60, 'mf'))).toEqual([]);
});

it('forgets a softest that ten later times did not reach', () => {
  const since = Array.from({ length: 10 }, (_, i) => played(60, 'p', { at: NOW - i * 1000 }));
  expect(marksOf(...since, played(60, 'ppp', { at: NOW - 10 * DAY_MS }))).toEqual([[60, 'p']]);
  expect(marksOf(...since.slice(1), played(60, 'ppp', { at: NOW - 10 * DAY_MS }))).toEqual([[60, 'ppp']]);
});
