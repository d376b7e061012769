import { describe, expect, it } from 'vitest';
import { additiveOnce } from '../testing/additiveSound.ts';
import {
  all,
  autoGain,
  drone,
  ducking,
  gate,
  hiss,
  neighbour,
  room,
  speech,
  type Disturb,
} from '../testing/disturbances.ts';
import { CLEAN_ROWS, FAULT_ROWS, onlyWanted, runRow, type VerdictRow } from '../verdicts/index.ts';
import { listenTo } from '../hearing/index.ts';
import { createRandom } from '../signal/index.ts';
import { hasAutomaticGain } from './automaticGain.ts';
import { isNeutral, type TakeAnalysis } from './index.ts';

/** No microphone is without a noise of its own. */
const noisy = (disturb: Disturb) => all(hiss(40), disturb);
const CLEAN = CLEAN_ROWS.filter((_row, i) => i % 15 === 3);
const toned = additiveOnce();
const run = (row: VerdictRow, disturb: Disturb) => runRow(row, toned(row), 7, disturb);
const blamedIn = (analysis: TakeAnalysis | null) =>
  analysis?.items.flatMap(({ verdict }) => verdict?.findings.filter((each) => !isNeutral(each)) ?? []) ?? [];

describe('a level that was worked on', () => {
  it.each([
    ['a microphone alone', hiss(40)],
    ['speech', noisy(speech(25))],
    ['a live room', all(room(0.9, 1), hiss(40))],
  ])('is not what %s makes of clean playing', (_, disturb) => {
    for (const row of CLEAN) {
      const { analysis } = run(row, disturb);
      expect(analysis?.processing, `${row.hornId} ${row.family}`).toBeUndefined();
      expect(analysis?.notJudged).toEqual([]);
    }
  });

  it.each([
    ['another horn', neighbour(25)],
    ['a drone', drone(25, 146.83)],
    ['a hall', all(room(1.8, 6), hiss(40))],
  ])('is not what %s makes in the holes between tongued notes', (_, disturb) => {
    const tongued = CLEAN_ROWS.filter(({ family }) => ['lowTwoWays', 'overtoneScale'].includes(family));
    expect(tongued.length).toBeGreaterThan(1);
    for (const row of tongued) {
      const { analysis, wrong } = run(row, disturb);
      expect(analysis?.processing, `${row.hornId} ${row.family}`).toBeUndefined();
      expect(wrong, `${row.hornId} ${row.family}`).toBeNull();
    }
  });

  it('is told from dips at even distances, and then nothing is said of how loud it was', () => {
    const told = CLEAN.filter((row) => {
      const { analysis } = run(row, noisy(ducking()));
      if (analysis?.processing !== 'ducking') return false;
      expect(blamedIn(analysis), `${row.hornId} ${row.family}`).toEqual([]);
      expect(analysis.notJudged).toEqual(['dynamics']);
      expect(analysis.measures).toMatchObject({ levelDb: null, swellErrorDb: null, dynamicSpanDb: null });
      expect(analysis.measures.centsMean).not.toBeNull();
      return true;
    });
    expect(told.length).toBeGreaterThan(0.7 * CLEAN.length);
  });

  it('is told from a floor that rises by itself after a tone', () => {
    const told = CLEAN.filter((row) => {
      const { analysis } = run(row, noisy(autoGain()));
      if (analysis?.processing !== 'gain') return false;
      expect(blamedIn(analysis), `${row.hornId} ${row.family}`).toEqual([]);
      return true;
    });
    expect(told.length).toBe(CLEAN.length);
  });

  it('is told from silence that was cut to nothing, by whatever cut it, and takes nothing from clean playing', () => {
    for (const row of CLEAN_ROWS.filter((_row, i) => i % 9 === 2))
      for (const disturb of [gate(), gate(12), all(room(0.35, 4), gate()), noisy(gate(24))]) {
        const { analysis } = run(row, disturb);
        expect(analysis?.processing, `${row.hornId} ${row.family}`).toBe('gate');
        expect(blamedIn(analysis), `${row.hornId} ${row.family}`).toEqual([]);
      }
  });

  it.each([
    ['dips', ducking()],
    ['a gate', gate()],
  ])('by %s, leaves what is not of its level to be told', (_, disturb) => {
    // How a soft start is made is told by its level too.
    const LEVEL = /evel|ardly|stair|place|peak|step|Full|weak|byTongue/;
    const faulty = FAULT_ROWS.filter(({ wanted }) => !LEVEL.test(JSON.stringify(wanted))).filter(
      (_row, i) => i % 23 === 4,
    );
    expect(faulty.length).toBeGreaterThan(4);
    const lost = faulty.flatMap((row) => {
      const { wrong, said } = run(onlyWanted(row), noisy(disturb));
      return wrong === null ? [] : [`${row.hornId} ${row.family}, ${row.played}: ${said}`];
    });
    expect(lost).toHaveLength(0);
  });
});

describe('a breath that is drawn after a note', () => {
  const random = createRandom(2);
  /** A second of a quiet room, with a breath in it or without, a note of two seconds, then a breath that grows for a second. */
  const breathing = (peakDb: number, beforeDb: number) =>
    listenTo(
      Float32Array.from({ length: 4.5 * 24000 }, (_, n) => {
        const seconds = n / 24000;
        const tone = seconds > 1 && seconds < 3 ? 0.05 * Math.sin(2 * Math.PI * 233 * seconds) : 0;
        const after = seconds > 3.1 ? 10 ** ((peakDb - 25 * Math.max(0, 4.2 - seconds)) / 20) : 0;
        const before = seconds < 0.9 ? 10 ** (beforeDb / 20) : 0;
        return tone + (2e-4 + after + before) * random.normal();
      }),
      24000,
    );

  it.each([-70, -60, -50, -40])('is no automatic gain, at %i dBFS', (peakDb) => {
    expect(hasAutomaticGain(breathing(peakDb, -120))).toBe(false);
  });

  it.each([-55, -50, -45, -40])(
    'is none either where a softer one was drawn before the note, at %i dBFS',
    (peakDb) => {
      expect(hasAutomaticGain(breathing(peakDb, peakDb - 6))).toBe(false);
    },
  );
});
