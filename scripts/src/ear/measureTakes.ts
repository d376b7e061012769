import { scoreOf } from '@inner-hum/core/exercise';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import { median } from '@inner-hum/core/stats';
import { disturbances as d, type Disturb } from '@inner-hum/core/testing';
import {
  byHand,
  CLEAN_ROWS,
  FAULT_ROWS,
  onlyWanted,
  runRow,
  writtenOf,
  type Ear,
  type VerdictRow,
} from '@inner-hum/core/verdicts';
import { answerJobs } from '../jobs.ts';
import { hasModel, renderModelNotes } from './modelNotes.ts';
import { readRecordedNotes } from './recordedNotes.ts';
import { sampledSound } from './sampledSound.ts';

type Named = [name: string, disturb: Disturb];

/** What may be beside a player. */
const BESIDE: Readonly<Record<string, (underDb: number) => Disturb>> = {
  'hum of the mains': (underDb) => d.hum(underDb),
  hiss: (underDb) => d.hiss(underDb),
  'drone on D3': (underDb) => d.drone(underDb, 146.83),
  speech: (underDb) => d.speech(underDb),
  radio: (underDb) => d.radio(underDb),
  'another horn': (underDb) => d.neighbour(underDb),
};
/** Each of these, or all, so many dB under the player, who is at -31 dBFS in the middle. */
const beside = (underDb: number, names = Object.keys(BESIDE)) =>
  names.map((name): Named => [`${name}, ${underDb} dB under`, BESIDE[name](underDb)]);

const ROOMS: readonly Named[] = [
  ['dry', (samples) => samples.slice()],
  ['small room: 0.35 s, 4 dB under the direct sound', d.room(0.35, 4)],
  ['live room: 0.9 s, 1 dB under', d.room(0.9, 1)],
  ['hall: 1.8 s, 6 dB under', d.room(1.8, 6)],
];

/** What a take goes through on its way to the app, where a goal is set for it. */
const WITH_GOALS: readonly Named[] = [
  ...ROOMS,
  ...beside(25),
  ['clicks of another metronome', d.clicks(5)],
  // No microphone is without a noise of its own.
  ['automatic gain: 24 dB come as 9', d.all(d.hiss(40), d.autoGain())],
  ['noise gate', d.all(d.hiss(40), d.gate())],
  ['echo ducking, 12 dB', d.all(d.hiss(40), d.ducking())],
  ['holes of 20 ms', d.holes()],
];
const SOME: readonly Named[] = [
  ...ROOMS,
  ...beside(25, ['hum of the mains', 'hiss', 'speech', 'another horn']),
];

/** Every so many rows of what must pass and of what must be told: all of them everywhere would take hours. */
const GOAL_FAULTS_EVERY = 5;
const CLEAN_EVERY = 12;
const FAULTS_EVERY = 42;
const SAMPLED_FAULTS_EVERY = 4;

/** Sampled notes have one colour and no breath that could be asked for, and reach as far as these horns. */
const SAMPLED_HORNS = new Set(['soprano', 'alto', 'tenor']);
const BY_COLOUR = /olour|reath|airy|tone|Tone|Full|byTongue|hum|Hum/;
const canBeSampled = (row: VerdictRow) =>
  SAMPLED_HORNS.has(row.hornId) &&
  !row.onlySimulated &&
  !BY_COLOUR.test(`${row.family} ${JSON.stringify(row.wanted)}`) &&
  scoreOf(writtenOf(row)).every(({ item }) => item.kind !== 'note' || (!item.tone && !item.words));
const every = (rows: readonly VerdictRow[], step: number, from = 0) =>
  rows.filter((_, i) => i % step === from);

export interface Origin {
  name: string;
  /** By whose sound: made by who plays it, for sampled notes take their time. */
  makeEar(): Ear | Promise<Ear>;
  disturbances: readonly Named[];
  clean: readonly VerdictRow[];
  faulty: readonly VerdictRow[];
}

const SAMPLED = {
  disturbances: SOME,
  clean: CLEAN_ROWS.filter(canBeSampled),
  faulty: every(FAULT_ROWS.filter(canBeSampled), SAMPLED_FAULTS_EVERY),
};

export const ORIGINS: readonly Origin[] = [
  {
    name: 'Tones by addition, every drill',
    makeEar: () => 'additive',
    disturbances: WITH_GOALS,
    clean: CLEAN_ROWS,
    faulty: every(FAULT_ROWS, GOAL_FAULTS_EVERY, 2),
  },
  {
    name: 'Tones by addition, every drill, by a hand that is less steady',
    makeEar: () => 'additive',
    disturbances: ROOMS,
    clean: CLEAN_ROWS.map(byHand),
    faulty: every(FAULT_ROWS, GOAL_FAULTS_EVERY, 2).map(byHand),
  },
  {
    name: 'Tones by addition, some drills: softer and louder beside the player',
    makeEar: () => 'additive',
    disturbances: [...beside(35), ...beside(15)],
    clean: every(CLEAN_ROWS, CLEAN_EVERY),
    faulty: every(FAULT_ROWS, FAULTS_EVERY),
  },
  {
    name: 'Recorded notes of an alto',
    makeEar: async () => sampledSound(await readRecordedNotes()),
    ...SAMPLED,
  },
  ...(hasModel()
    ? [
        {
          name: 'A physical model of reed and bore',
          makeEar: () => sampledSound(renderModelNotes()),
          ...SAMPLED,
        },
      ]
    : []),
];

/** Median distance of what was measured from what was played, over the notes of takes. */
interface Distances {
  cents: number | null;
  db: number | null;
  beginMs: number | null;
  endMs: number | null;
}

export interface TakesRow extends Distances {
  name: string;
  blamed: string[];
  named: number;
}

function distances(pairs: readonly (readonly [TakeAnalysis | null, TakeAnalysis | null])[]): Distances {
  const notes = pairs.flatMap(([heard, meant]) =>
    (heard?.items ?? []).flatMap((item, i) => {
      const truth = meant?.items.at(i);
      return item.kind === 'note' && truth?.kind === 'note' && item.measures && truth.measures
        ? [{ item, truth, is: item.measures, was: truth.measures }]
        : [];
    }),
  );
  const apart = (of: (note: (typeof notes)[number]) => [number | null, number | null]) =>
    median(
      notes.flatMap((note) => {
        const [is, was] = of(note);
        return is === null || was === null ? [] : [Math.abs(is - was)];
      }),
    );
  const ms = (value: number | null) => value && 1000 * value;
  return {
    cents: apart(({ is, was }) => [is.centsMean, was.centsMean]),
    db: apart(({ is, was }) => [is.levelDb, was.levelDb]),
    beginMs: ms(apart(({ item, truth }) => [item.startSeconds, truth.startSeconds])),
    endMs: ms(apart(({ item, truth }) => [item.endSeconds, truth.endSeconds])),
  };
}

function measure({ clean, faulty }: Origin, [name, disturb]: Named, ear: Ear): TakesRow {
  const takes = clean.map((row) => runRow(row, ear, 7, disturb));
  const blamed = takes.flatMap(({ row, said, wrong }) =>
    wrong === null ? [] : [`${row.hornId}, ${row.family}: ${said}`],
  );
  const named = faulty.filter((row) => runRow(onlyWanted(row), ear, 7, disturb).wrong === null).length;
  const pairs = takes.map(({ row, analysis }) => [analysis, runRow(row, 'truth').analysis] as const);
  return { name, blamed, named, ...distances(pairs) };
}

/** One line of a table: which origin, and which of what is done to it. */
export interface TakesJob {
  origin: number;
  disturbance: number;
}

const ears = new Map<Origin, Ear | Promise<Ear>>();
answerJobs(async ({ origin, disturbance }: TakesJob) => {
  const from = ORIGINS[origin];
  const ear = ears.get(from) ?? from.makeEar();
  ears.set(from, ear);
  return measure(from, from.disturbances[disturbance], await ear);
});
