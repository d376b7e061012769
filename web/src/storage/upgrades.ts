import type { parseExercise } from '@inner-hum/core/exercise';
import { MAX_PARTIAL } from '@inner-hum/core/hearing';
import type { HornId } from '@inner-hum/core/horn';
import { firstMouthpiece } from './gear.ts';
import type { Transaction } from 'dexie';
import { wallClock } from './moment.ts';
import type { TakeRecord } from './records.ts';
import { takeKeys } from './takeKeys.ts';

/** Figures that version 2 added. Of an older take they are not known; its verdict stays as it was. */
const ADDED = [
  'driftCentsPerSecond',
  'levelDb',
  'levelSpreadDb',
  'levelDriftDbPerSecond',
  'brightness',
  'breathDb',
  'colourShift',
  'vibratoHz',
  'vibratoCents',
  'vibratoRegularity',
];

/** Version 1 to 2: bendWithLevel becomes two plain numbers, and figures that were not measured are null. */
function giveNoteMeasures(take: { analysis: { measures: Record<string, unknown> } | null }): void {
  if (!take.analysis) return;
  const { measures } = take.analysis;
  const bend = measures.bendWithLevel as { centsPer10Db: number; r2: number } | null;
  measures.bendWithLevel = bend?.centsPer10Db ?? null;
  measures.bendWithLevelR2 = bend?.r2 ?? null;
  for (const name of ADDED) measures[name] = null;
}

/** Version 2 to 3: frames have air, harmonics and what was heard unaided; of an older take they are not known. */
function giveNewColumns({ columns }: { columns: Record<string, Float32Array> }): void {
  const frames = columns.f0Hz.length;
  for (const name of ['airDb', 'unaidedHz']) columns[name] = new Float32Array(frames).fill(NaN);
  columns.partialsDb = new Float32Array(frames * MAX_PARTIAL).fill(NaN);
}

/** Version 2 to 3: how long the air went before the tone was not measured. */
function giveResponse(take: { analysis: { measures: Record<string, unknown> } | null }): void {
  if (take.analysis) take.analysis.measures.responseMs = null;
}

/** Measures of how a note came in and followed another; of an older take they are not known. */
const ADDED_TO_ITEMS = [
  'onsetOffsetMs',
  'firstPartial',
  'landingCents',
  'settleMs',
  'stepDb',
  'stepBrightness',
  'stepCents',
  'slurMs',
  'overshootCents',
  'gapMs',
];

interface TakeOfVersion3 {
  kind: string;
  context: { exercise: unknown } | null;
  analysis: {
    events: { type: string; timeSeconds: number }[];
    measures: Record<string, unknown>;
    verdict: { findings: { kind: string }[] } & Record<string, unknown>;
    items?: unknown[];
  } | null;
}

let readExercise: typeof parseExercise | null = null;

/** Learns to read exercises of old versions: to be called before rows from before version 4 are brought up to date. */
export async function loadLegacyParser(): Promise<void> {
  readExercise = (await import('./oldExercises.ts')).parseExercise;
}

/** Version 3 to 4: the exercise in its second version, the only note as the only item, and no round. */
function giveItems(take: TakeOfVersion3 & Record<string, unknown>): void {
  if (take.kind === 'swell') take.kind = 'exercise';
  Object.assign(take, { roundId: null, phrase: 0, call: null });
  const { context, analysis } = take;
  if (!context) return;
  if (!readExercise)
    throw new Error('Exercises of old versions are not read yet: call loadLegacyParser first.');
  const exercise = readExercise(context.exercise);
  context.exercise = exercise;
  const [note] = exercise.phrases[0].items;
  if (!analysis || note.kind !== 'note') return;
  const { events, measures, verdict } = analysis;
  const at = (type: string) => events.find((event) => event.type === type)?.timeSeconds ?? null;
  const own = { ...measures, ...Object.fromEntries(ADDED_TO_ITEMS.map((name) => [name, null])) };
  analysis.items = [
    {
      item: 0,
      kind: 'note',
      status: 'played',
      writtenMidi: note.writtenMidi,
      heardMidi: null,
      startSeconds: at('toneOnset'),
      endSeconds: at('end'),
      events: [...events],
      measures: own,
      verdict: { ...verdict },
    },
  ];
  const isEven = verdict.findings.every(({ kind }) => kind === 'even');
  Object.assign(verdict, { of: verdict.findings.map(() => 0), judged: 1, asWritten: isEven ? 1 : 0 });
}

/** Version 5 to 6: played on the horn's first mouthpiece, with a reed nobody named; how much of it was high and loud was not counted. */
function giveMouthpiece(take: { hornId: HornId } & Record<string, unknown>): void {
  Object.assign(take, { mouthpieceId: firstMouthpiece(take.hornId), reedKind: '', strain: null });
}

/** Version 5 to 6: of a caution that was read it is not known when. */
function giveReadAt(settings: Record<string, unknown>): void {
  const read = Array.isArray(settings.cautionsRead) ? (settings.cautionsRead as string[]) : [];
  settings.cautionsReadAt = Object.fromEntries(read.map((name) => [name, 0]));
  delete settings.cautionsRead;
}

/** Version 7 to 8: on a reed that is not one of the Case. */
function giveReed(take: Record<string, unknown>): void {
  take.reedId = '';
}

/** Version 8 to 9: day and time by the clock of this place, where older takes are taken to have been played. */
function giveWallClock(take: { startedAt: number } & Record<string, unknown>): void {
  Object.assign(take, wallClock(take.startedAt));
}

/** Version 8 to 9: what a take is found by. */
function giveKeys(take: TakeRecord): void {
  take.keys = takeKeys(take);
}

type RowUpgrade = (row: never) => void;
type Upgrades = Record<number, Record<string, readonly RowUpgrade[]>>;

/** What each version does to the rows of the one before, table by table. */
const UPGRADES: Upgrades = {
  2: { takes: [giveNoteMeasures] },
  3: { frames: [giveNewColumns], takes: [giveResponse] },
  4: { takes: [giveItems] },
  6: { takes: [giveMouthpiece], settings: [giveReadAt] },
  8: { takes: [giveReed] },
  9: { takes: [giveWallClock, giveKeys] },
};

/** Brings every row of a database from the version before up to this one. */
export async function upgradeRows(transaction: Transaction, version: number): Promise<void> {
  for (const [table, changes] of Object.entries(UPGRADES[version] ?? {}))
    await transaction
      .table(table)
      .toCollection()
      .modify((row: never) => changes.forEach((change) => change(row)));
}

/** Brings one row, as some version wrote it, up to date in place. */
export function upgradeRow(table: string, row: object, fromVersion: number): void {
  for (const [version, tables] of Object.entries(UPGRADES))
    if (Number(version) > fromVersion) for (const change of tables[table] ?? []) change(row as never);
}
