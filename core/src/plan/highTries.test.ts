import { expect, it } from 'vitest';
import {
  DEFAULT_SCALE,
  familyById,
  parseExercise,
  phraseExercise,
  scoreOf,
  withFingerings,
} from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import {
  fingeringOf,
  HIGH_NOTES,
  hornById,
  HORN_IDS,
  regularTube,
  startFingerings,
  writtenMidi,
  type HornId,
} from '../horn/index.ts';
import { analyseTake } from '../judge/index.ts';
import { chartToCsv, chartToJson } from '../formats/index.ts';
import { playExercise, PROFILES, type ItemFault } from '../simulated/index.ts';
import { highChart, type HighDecision } from './highChart.ts';
import {
  highFigures,
  highTriesIn,
  speaksBest,
  type HighFigures,
  type HighOutcome,
  type HighTry,
} from './highTries.ts';

const RATE = 48000;
const KEYS = 'oct.L2.L3';

function tried(hornId: HornId, midi: number, tongued: boolean, faults: ItemFault[], seed: number) {
  const built = familyById('highTries')?.build(hornById(hornId), {
    note: midi,
    keys: KEYS,
    tries: 4,
    tempoBpm: 80,
    attack: tongued ? 'tongued' : 'breath',
  });
  if (!built) throw new Error('no family');
  const exercise = phraseExercise(built, 0);
  const context = {
    exercise,
    hornId,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    toleranceId: 'usual' as const,
    roomFloorDb: null,
  };
  const { samples, beatZeroSeconds } = playExercise({
    ...context,
    profile: { ...PROFILES.steady, responseMs: 80 },
    faults,
    sampleRateHz: RATE,
    seed,
    leadSeconds: 0.8,
    tailSeconds: 0.8,
  });
  const judged = { ...context, beatZeroSeconds };
  const analysis = analyseTake(listenTo(samples, RATE), judged, []);
  return analysis ? highTriesIn(judged, analysis, seed) : [];
}

it('tells what came of every try at a high note, over horns and notes, and prints the table', () => {
  const table = new Map<string, number>();
  const wrong: string[] = [];
  let seed = 40;
  for (const midi of [91, 93, 95, 98])
    for (const tongued of [true, false]) {
      const hornId = HORN_IDS[seed % HORN_IDS.length];
      const { partial } = regularTube(writtenMidi(midi));
      const rounds: [HighOutcome, ItemFault][][] = [
        [
          ['squawk', { item: 2, kind: 'squawk', seconds: 0.2 }],
          ['squawk', { item: 4, kind: 'squawk', seconds: 9 }],
          ['neighbour', { item: 6, kind: 'wrongPartial', partial: partial - 1 }],
        ],
        [
          ['neighbour', { item: 2, kind: 'wrongPartial', partial: partial + 1 }],
          ['fellBack', { item: 4, kind: 'slip', atSeconds: 0.5, lengthSeconds: 9, toPartial: partial - 1 }],
          ['silent', { item: 6, kind: 'missed' }],
        ],
      ];
      for (const round of rounds) {
        const made: HighOutcome[] = ['spoke', ...round.map(([outcome]) => outcome)];
        const tries = tried(
          hornId,
          midi,
          tongued,
          round.map(([, fault]) => fault),
          ++seed,
        );
        made.forEach((outcome, i) => {
          const heard = tries.at(i)?.outcome ?? 'silent';
          table.set(`${outcome} > ${heard}`, (table.get(`${outcome} > ${heard}`) ?? 0) + 1);
          if (heard !== outcome) wrong.push(`${hornId} ${midi} ${tongued} ${outcome} ${heard}`);
        });
        expect(tries.every(({ fingering }) => fingering === KEYS)).toBe(true);
      }
    }
  console.info(
    `high notes made > heard: ${[...table].map(([name, tries]) => `${name} ${tries}`).join(', ')}`,
  );
  expect(wrong).toEqual([]);
});

it('keeps a take in which nothing but squawks came', () => {
  const squawk = (item: number): ItemFault => ({ item, kind: 'squawk', seconds: 9 });
  const tries = tried('alto', 93, true, [0, 2, 4, 6].map(squawk), 3);
  expect(tries.map(({ outcome }) => outcome)).toEqual(['squawk', 'squawk', 'squawk', 'squawk']);
});

it('says which fingering speaks best only where the tries tell', () => {
  const tries = (fingering: string, told: string): HighTry[] =>
    [...told].map((each, at) => ({
      writtenMidi: writtenMidi(91),
      fingering,
      outcome: each === '.' ? 'spoke' : 'squawk',
      cents: each === '.' ? 4 : null,
      spreadCents: each === '.' ? 2 : null,
      bendRangeCents: null,
      at,
    }));
  const best = (a: string, b: string) => {
    const all = [...tries('L1', a), ...tries('L2', b)];
    return speaksBest([figures('L1', all), figures('L2', all)])?.fingering ?? null;
  };
  const figures = (fingering: string, all: HighTry[]): HighFigures =>
    highFigures(writtenMidi(91), fingering, all);
  expect(best('.........x', 'x.xxx.xxxx')).toEqual(['L1']);
  expect(best('x.xxx.xxxx', '.........x')).toEqual(['L2']);
  // Two of three against one of three tells nothing, nor does one fingering alone.
  expect(best('..x', '.xx')).toBeNull();
  expect(best('..........', '')).toBeNull();
  const drop: HighTry = { ...tries('L1', '.')[0], bendRangeCents: 180, cents: null, spreadCents: null };
  expect(figures('L1', [...tries('L1', '..x'), drop])).toMatchObject({
    tries: 3,
    spoke: 2,
    bendRangeCents: 180,
    cents: 4,
    instead: 'squawk',
  });
});

it('has somewhere to start from for every high note of every horn, each fingering once', () => {
  for (const hornId of HORN_IDS)
    for (const note of HIGH_NOTES) {
      const starts = startFingerings(note, hornId, 'F').map((keys) => keys.join(' '));
      expect(starts.length).toBeGreaterThan(0);
      expect(new Set(starts).size).toBe(starts.length);
      expect(starts.join(' ')).not.toMatch(/highF#|highG/);
    }
  // The table of regular fingerings names these two for A6 on the alto.
  expect(startFingerings(writtenMidi(93), 'alto', 'F#')).toEqual(
    expect.arrayContaining([fingeringOf(['oct', 'L2', 'L3']), fingeringOf('oct L2 L3 R1 R2 R3'.split(' '))]),
  );
});

it("puts the player's own fingering on notes that name none", () => {
  const exercise = parseExercise({
    version: 3,
    tempoBpm: 60,
    beatsPerBar: 4,
    start: 'countIn',
    phrases: [
      {
        items: [
          { kind: 'note', writtenMidi: 91, lengthBeats: 1 },
          { kind: 'note', writtenMidi: 91, lengthBeats: 1, keys: ['L1'] },
          { kind: 'note', writtenMidi: 91, lengthBeats: 1, fingered: 60 },
          { kind: 'note', writtenMidi: 71, lengthBeats: 1 },
        ],
      },
    ],
  });
  const with91 = withFingerings(exercise, new Map([[91, ['oct', 'L3']]]));
  expect(scoreOf(with91).map(({ item }) => item.kind === 'note' && (item.keys ?? null))).toEqual([
    ['oct', 'L3'],
    ['L1'],
    null,
    null,
  ]);
});

it('charts what there is to start from, what was tried and what was decided, and gives it out as rows', () => {
  const tries = (fingering: string, spoke: number, all: number): HighTry[] =>
    Array.from({ length: all }, (_, at) => ({
      writtenMidi: writtenMidi(93),
      fingering,
      outcome: at < spoke ? 'spoke' : 'neighbour',
      cents: at < spoke ? -6.2 : null,
      spreadCents: null,
      bendRangeCents: null,
      at,
    }));
  const decide = (fingering: string, change: Partial<HighDecision>): HighDecision => ({
    writtenMidi: writtenMidi(93),
    fingering,
    preferred: false,
    removed: false,
    ...change,
  });
  const notes = highChart({
    hornId: 'alto',
    topKey: 'F#',
    tries: [...tries('oct.L2.L3', 2, 10), ...tries('oct.L3.R1', 9, 10)],
    decisions: [
      decide('oct.L2.L3', { preferred: true }),
      decide('oct.L2.L3.R1.R2.R3', { removed: true }),
      decide('frontF', {}),
    ],
  });
  expect(notes.map(({ writtenMidi: note }) => note)).toEqual([90, 91, 92, 93, 94, 95, 96, 97, 98]);
  const a6 = notes[3];
  // What was settled on, what spoke more, then what was never tried, from the starting set or not.
  expect(a6.fingerings.map(({ word, preferred, isStart }) => [word, preferred, isStart])).toEqual([
    ['oct.L2.L3', true, false],
    ['oct.L3.R1', false, false],
    ['oct.L1.L2', false, true],
    ['frontF', false, false],
  ]);
  expect(a6.best?.word).toBe('oct.L3.R1');
  const csv = chartToCsv({ hornId: 'alto', mouthpiece: '=1+1', notes });
  expect(csv).toContain('93,A6,oct L3 R1,false,10,9,90,');
  expect(csv).not.toContain('=1+1');
  expect(JSON.parse(chartToJson({ hornId: 'alto', mouthpiece: 'wide', notes }))).toMatchObject({
    format: 'inner-hum-high-notes',
    version: 1,
    mouthpiece: 'wide',
  });
});
