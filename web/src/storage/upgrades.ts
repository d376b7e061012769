import type { parseExercise } from '@inner-hum/core/exercise';
import { MAX_PARTIAL } from '@inner-hum/core/hearing';
import type { HornId } from '@inner-hum/core/horn';
import { usualAttacks, type TrialTone } from '@inner-hum/core/trial';
import { firstMouthpiece } from './gear.ts';
import { wallClock } from './moment.ts';
import type { TakeRecord } from './records.ts';
import { keysOnWrite } from './keysOnWrite.ts';

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
export function giveNoteMeasures(take: { analysis: { measures: Record<string, unknown> } | null }): void {
  if (!take.analysis) return;
  const { measures } = take.analysis;
  const bend = measures.bendWithLevel as { centsPer10Db: number; r2: number } | null;
  measures.bendWithLevel = bend?.centsPer10Db ?? null;
  measures.bendWithLevelR2 = bend?.r2 ?? null;
  for (const name of ADDED) measures[name] = null;
}

/** Version 2 to 3: frames have air, harmonics and what was heard unaided; of an older take they are not known. */
export function giveNewColumns({ columns }: { columns: Record<string, Float32Array> }): void {
  const frames = columns.f0Hz.length;
  for (const name of ['airDb', 'unaidedHz']) columns[name] = new Float32Array(frames).fill(NaN);
  columns.partialsDb = new Float32Array(frames * MAX_PARTIAL).fill(NaN);
}

/** Version 2 to 3: how long the air went before the tone was not measured. */
export function giveResponse(take: { analysis: { measures: Record<string, unknown> } | null }): void {
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
export function giveItems(take: TakeOfVersion3 & Record<string, unknown>): void {
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
export function giveMouthpiece(take: { hornId: HornId } & Record<string, unknown>): void {
  Object.assign(take, { mouthpieceId: firstMouthpiece(take.hornId), reedKind: '', strain: null });
}

/** Version 5 to 6: of a caution that was read it is not known when. */
export function giveReadAt(settings: Record<string, unknown>): void {
  const read = Array.isArray(settings.cautionsRead) ? (settings.cautionsRead as string[]) : [];
  settings.cautionsReadAt = Object.fromEntries(read.map((name) => [name, 0]));
  delete settings.cautionsRead;
}

/** Version 7 to 8: on a reed that is not one of the Case. */
export function giveReed(take: Record<string, unknown>): void {
  take.reedId = '';
}

/** Version 8 to 9: day and time by the clock of this place, where older takes are taken to have been played. */
export function giveWallClock(take: { startedAt: number } & Record<string, unknown>): void {
  Object.assign(take, wallClock(take.startedAt));
}

/** Version 8 to 9: what a take is found by. */
export function giveKeys(take: TakeRecord): void {
  take.keys = keysOnWrite(take);
}

/** Names of version 9 that say what and in which unit since version 10. */
const RENAMED: Readonly<Record<string, string>> = {
  bendWithLevel: 'pitchSlopeCentsPer10Db',
  bendWithLevelR2: 'pitchSlopeR2',
  brightness: 'centroidHarmonics',
  stepBrightness: 'stepCentroidHarmonics',
  matchBrightness: 'matchCentroidHarmonics',
  brightnessShare: 'centroidShare',
  breathDb: 'noiseToHarmonicDb',
  colourShift: 'centroidSlopeHarmonicsPer10Db',
  colourSpan: 'centroidSpanHarmonics',
};
const newName = (name: string) => (Object.hasOwn(RENAMED, name) ? RENAMED[name] : name);

/** A value with the new names at every depth. */
function renamed(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(renamed);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, each]) => [newName(name), renamed(each)]));
}

/** Version 9 to 10: figures of a take are named by what they are and their unit. */
export function nameFigures(take: { analysis: unknown } & Record<string, unknown>): void {
  take.analysis = renamed(take.analysis);
  take.playingLoad = take.strain;
  delete take.strain;
}

/** Version 9 to 10: so are the columns of its frames. */
export function nameColumns(row: { columns: Record<string, Float32Array> }): void {
  row.columns = Object.fromEntries(
    Object.entries(row.columns).map(([name, column]) => [newName(name), column]),
  );
}

/** Version 9 to 10: so is the figure of a trial. */
export function nameTrialFigure(trial: { measure: string }): void {
  trial.measure = newName(trial.measure);
}

/** Version 11 to 12: either cue of a trial has its own attack; until then it was that of what is played. */
export function giveAttacks(trial: { tone: TrialTone; attacks?: object }): void {
  trial.attacks ??= usualAttacks(trial.tone);
}

/** Version 9 to 10: so is the figure of an aim. */
export function nameAimFigure({ goal }: { goal: { measure: string } }): void {
  goal.measure = newName(goal.measure);
}

/** Figures that version 10 added to every note; of an older take they are not known. */
const ADDED_IN_10 = [
  'withinCents',
  'firstToLastCents',
  'endToEndCents',
  'softestDb',
  'peakDb',
  'softEndBreathDb',
];

/** A value in which what is no number has no answer. */
function withoutNaN(value: unknown): unknown {
  if (typeof value === 'number') return Number.isFinite(value) ? value : null;
  if (Array.isArray(value)) return value.map(withoutNaN);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, withoutNaN(each)]));
}

interface AnalysisOfVersion9 {
  measures: Record<string, unknown>;
  events: { type: string; timeSeconds: number | null; sagCents?: number | null }[];
  items?: { measures: Record<string, unknown> | null; events: AnalysisOfVersion9['events'] }[];
}

/**
 * Version 9 to 10: figures that were no numbers (how fast a note answered that had begun out of a tone) have no answer, an onset of air
 * at no time did not happen, no tone ends farther off its pitch than an octave, and the new figures are not known.
 */
export function cleanFigures(take: { analysis: unknown }): void {
  if (!take.analysis) return;
  const analysis = withoutNaN(take.analysis) as AnalysisOfVersion9;
  const clean = (events: AnalysisOfVersion9['events']) =>
    events
      .filter(({ timeSeconds }) => timeSeconds !== null)
      .map((event) => ((event.sagCents ?? 0) > 1200 ? { ...event, sagCents: null } : event));
  const added = (measures: Record<string, unknown>, names: readonly string[]) => ({
    ...Object.fromEntries(names.map((name) => [name, null])),
    ...measures,
  });
  analysis.events = clean(analysis.events);
  analysis.measures = added(analysis.measures, ADDED_IN_10);
  for (const item of analysis.items ?? []) {
    item.events = clean(item.events);
    if (item.measures && 'centsMean' in item.measures)
      item.measures = added(item.measures, [...ADDED_IN_10, 'endOffsetMs', 'endFadeMs']);
  }
  take.analysis = analysis;
}

const speakVersion3 = (exercise: { version?: number }) => {
  if (exercise.version === 2) exercise.version = 3;
};

/** Version 9 to 10: the exercise a take was judged by in the third version of the language, in time as it was. */
export function renewLanguage({ context }: { context: { exercise: object } | null }): void {
  if (context) speakVersion3(context.exercise);
}

/** Version 9 to 10: so are an own exercise and that of a round. */
export function renewExercise({ exercise }: { exercise?: object }): void {
  if (exercise) speakVersion3(exercise);
}
