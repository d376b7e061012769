import { familyById, phraseExercise } from '@inner-hum/core/exercise';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import { WARM_UP, type ItemFault, type StandInProfile } from '@inner-hum/core/standin';
import { centsPerMm, usualModel } from '@inner-hum/core/tendency';
import { drillAddress } from '../../session/index.ts';
import { storeRound } from '../../storage/index.ts';
import type { SessionClient } from '../../workers/index.ts';
import { timeOf } from './demoTime.ts';
import { keepDemoTake } from './keepDemoTake.ts';

const HORN = hornById('alto');
const TEMPO = 120;

/** The invented alto: sharp low notes, an A that lies by itself, a flat open C sharp, sharp over the break. */
const OFF: Partial<Record<number, number>> = {
  58: 8,
  59: 7,
  60: 5,
  61: 3,
  69: 19,
  72: -6,
  73: -14,
  74: 12,
  75: 8,
  76: 5,
  87: 6,
  88: 8,
};
/** Answers late: the lowest notes, and D over the break. */
const SLOW: Partial<Record<number, number>> = { 58: 330, 59: 290, 60: 240, 61: 190, 74: 260 };

/** Pushed on so much too far. */
const PUSHED_MM = 2.2;

const offOf = (midi: number) =>
  (OFF[midi] ?? 0) +
  2 * Math.sin(2.3 * midi) -
  PUSHED_MM * centsPerMm(writtenMidi(midi), HORN, usualModel(HORN.id));

/** A player of this horn on one note. */
function profileOf(midi: number): StandInProfile {
  const low = Math.max(0, 66 - midi);
  return {
    ...WARM_UP,
    tendencyCents: offOf(midi),
    bendCentsPer10Db: -5 - 0.9 * low,
    breathDbSoft: -16 + 0.6 * low,
    breathDbLoud: -32 + 0.6 * low,
    responseMs: 90,
  };
}

/** Chart runs of the invented player: from which note to which, and how long ago. */
const RUNS: [daysAgo: number, from: number, to: number][] = [
  [4, 58, 89],
  [2, 58, 76],
  [1, 64, 75],
];

/** Two chart runs, note by note, through the worker that keeps played takes. */
export async function seedMap(client: SessionClient, today: Date): Promise<void> {
  const family = familyById('chartRun');
  if (!family) return;
  for (const [i, [daysAgo, from, to]] of RUNS.entries()) {
    const notes = Array.from({ length: to - from + 1 }, (_, k) => from + k);
    const choices = { notes: notes.join('.'), tempoBpm: TEMPO };
    const exercise = family.build(HORN, choices);
    const startedAt = timeOf(today, daysAgo, 19.8);
    const roundId = `demo-run-${i}`;
    await storeRound({
      id: roundId,
      startedAt,
      hornId: HORN.id,
      exercise,
      address: drillAddress(family, HORN, choices),
    });
    for (const [phrase, midi] of notes.entries()) {
      const slow = SLOW[midi];
      const faults: ItemFault[] =
        slow === undefined ? [] : [0, 2].map((item) => ({ item, kind: 'slowAnswer', responseMs: slow }));
      await keepDemoTake(client, {
        exercise: phraseExercise(exercise, phrase),
        profile: profileOf(midi),
        faults,
        seed: 2000 + 100 * i + phrase,
        startedAt: startedAt + 6000 * phrase,
        roundId,
        phrase,
      });
    }
  }
}
