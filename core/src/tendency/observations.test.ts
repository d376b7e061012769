import { expect, it } from 'vitest';
import { DEFAULT_SCALE, parseExercise } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { analyseTake } from '../judge/index.ts';
import { playExercise, STEADY_HAND, type ItemFault } from '../simulated/index.ts';
import { observationsIn } from './observations.ts';

const RATE = 24000;
const held = (writtenMidi: number, change: object = {}) => ({
  kind: 'note',
  writtenMidi,
  lengthBeats: 3,
  attack: 'tongued',
  ...change,
});
const rest = { kind: 'rest', lengthBeats: 1 };
const swell = {
  dynamics: [
    { beat: 0, mark: 'pp' },
    { beat: 3, mark: 'ff' },
  ],
};

/** What the map learns of a take of such items by a player who goes 8 cents flatter for each 10 dB. */
function observed(items: object[], faults: ItemFault[] = [], droneSpoils = false) {
  const exercise = parseExercise({
    version: 3,
    tempoBpm: 60,
    beatsPerBar: 4,
    start: 'countIn',
    phrases: [{ items }],
  });
  const common = { exercise, hornId: 'alto', a4Hz: 440, scale: DEFAULT_SCALE } as const;
  const { samples, beatZeroSeconds } = playExercise({
    ...common,
    profile: { ...STEADY_HAND, bendCentsPer10Db: -8 },
    faults,
    sampleRateHz: RATE,
    seed: 4,
    leadSeconds: 0.6,
    tailSeconds: 0.6,
  });
  const context = {
    ...common,
    toleranceId: 'usual' as const,
    roomFloorDb: null,
    beatZeroSeconds,
    droneSpoils,
  };
  const analysis = analyseTake(listenTo(samples, RATE), context, []);
  if (!analysis) throw new Error('nothing heard');
  return observationsIn(context, analysis);
}

it('learns from ordinary notes only, with their pitch at their loudness, and how they began', () => {
  const notes = observed(
    [
      held(67),
      rest,
      held(71, swell),
      rest,
      held(70, { fingered: 58 }),
      rest,
      held(62, { tone: 'subtone' }),
      rest,
      held(69, { vibrato: 'slow' }),
      rest,
      held(65),
      rest,
      held(70, { keys: ['L1', 'bis'] }),
      rest,
      held(92, { keys: ['oct'] }),
    ],
    [
      { item: 0, kind: 'off', cents: 12, levelDb: 0 },
      { item: 10, kind: 'slip', atSeconds: 0.6, lengthSeconds: 0.4, toPartial: 2 },
    ],
  );
  expect(notes.map(({ writtenMidi, start }) => [writtenMidi, start])).toEqual([
    [67, 'clean'],
    [71, 'clean'],
    [65, 'jumped'],
    [92, 'clean'],
  ]);
  // mf is 4/7 of the way from ppp to fff: 2.14 dB over the middle of the 30 dB, so 12 - 8 x 0.214 cents.
  expect(notes[0].points).toHaveLength(1);
  expect(notes[0].points[0].cents).toBeCloseTo(12 - 8 * 0.214, 0);
  expect(notes[0].points[0].level).toBeCloseTo(0.21, 1);
  // A swell tells its soft and its loud end.
  const [soft, loud] = notes[1].points;
  expect((loud.cents - soft.cents) / (loud.level - soft.level)).toBeCloseTo(-8, 0);
  expect(notes.every(({ attack }) => attack === 'tongued')).toBe(true);
});

it('learns nothing under a drone', () => {
  expect(observed([held(67)], [], true)).toEqual([]);
});
