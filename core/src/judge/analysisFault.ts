import { FIGURES } from '../figures/index.ts';
import { EVENTS, ITEMS } from './analysisFields.ts';
import type { Field, Fields } from './fields.ts';
import { FINDINGS } from './finding.ts';
import { HOLD_CAUSES } from './hold.ts';
import { SOUND_PROCESSINGS } from './soundProcessing.ts';
import { NOT_JUDGED } from './takeAnalysis.ts';

// What a stored analysis must be, so that no reader of it can fail. What another version may have said besides is let be.

/** Items that have their figures even where nothing was heard. */
const MEASURED = ['rest', 'air', 'hum'];

/** Nothing that is measured comes near it, and arithmetic with it stays finite. */
const LARGEST = 1e9;
const MOST_MIDI = 127;
const MOST_ITEMS = 20_000;
const MOST_EVENTS = 50_000;
const MOST_FINDINGS = 40_000;
const MOST_WORD = 60;

const FIELDS_OF_FINDINGS = Object.fromEntries(
  Object.entries(FINDINGS).map(([kind, { fields: told }]) => [kind, told]),
);

type Plain = Readonly<Record<string, unknown>>;

/** A field that is not what it must be: its path. */
class Fault extends Error {}

const fail = (path: string): never => {
  throw new Fault(path);
};
const isNumber = (value: unknown) => typeof value === 'number' && Math.abs(value) <= LARGEST;
const isMidi = (value: unknown) =>
  Number.isInteger(value) && Number(value) >= 0 && Number(value) <= MOST_MIDI;
const isObject = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function object(value: unknown, path: string): Plain {
  return isObject(value) ? value : fail(path);
}

function list(value: unknown, most: number, path: string): readonly unknown[] {
  // What is missing in it is looked at too.
  return Array.isArray(value) && value.length <= most ? Array.from(value as unknown[]) : fail(path);
}

const isField = (value: unknown, field: Field): boolean => {
  if (field === 'number') return isNumber(value);
  if (field === 'numberOrNull') return value === null || isNumber(value);
  if (field === 'midi') return isMidi(value);
  if (field === 'midiOrNull') return value === null || isMidi(value);
  if (field === 'flag') return typeof value === 'boolean';
  return field.some((word) => word === value);
};

function fields(value: Plain, wanted: Fields, path: string): void {
  for (const [name, field] of Object.entries(wanted))
    if (!isField(value[name], field)) fail(`${path}.${name}`);
}

/**
 * Its kind may be one that only another version knows; then its figures are not read. With `mayLack`, another version may have told it with
 * fewer figures.
 */
function told(
  value: unknown,
  name: string,
  kinds: Readonly<Record<string, Fields>>,
  path: string,
  mayLack = false,
) {
  const row = object(value, path);
  const kind = row[name];
  if (typeof kind !== 'string' || kind.length > MOST_WORD) fail(`${path}.${name}`);
  else if (Object.hasOwn(kinds, kind))
    fields(
      row,
      Object.fromEntries(
        Object.entries(kinds[kind]).filter(([field]) => !mayLack || row[field] !== undefined),
      ),
      path,
    );
}

function verdict(value: unknown, path: string): Plain {
  const row = object(value, path);
  list(row.findings, MOST_FINDINGS, `${path}.findings`).forEach((finding, i) =>
    told(finding, 'kind', FIELDS_OF_FINDINGS, `${path}.findings[${i}]`, true),
  );
  if (typeof row.advice !== 'string' || !/^\w{1,60}$/.test(row.advice)) fail(`${path}.advice`);
  fields(object(row.band, `${path}.band`), { pitchCents: 'number', swellErrorDb: 'number' }, `${path}.band`);
  return row;
}

/** Figures that no version knew are absent; what is there is a finite number or no answer. */
function measures(value: unknown, path: string): void {
  const row = object(value, path);
  for (const name of Object.keys(FIGURES))
    if (row[name] !== undefined && !isField(row[name], 'numberOrNull')) fail(`${path}.${name}`);
  if (row.stairs !== undefined)
    fields(
      object(row.stairs, `${path}.stairs`),
      { count: 'number', worstDb: 'numberOrNull' },
      `${path}.stairs`,
    );
  if (row.holdCause !== undefined && row.holdCause !== null && !isField(row.holdCause, HOLD_CAUSES))
    fail(`${path}.holdCause`);
  if (row.profileDb !== undefined)
    list(row.profileDb, 200, `${path}.profileDb`).forEach(
      (level) => isField(level, 'numberOrNull') || fail(`${path}.profileDb`),
    );
  if (row.words !== undefined)
    for (const word of list(row.words, 200, `${path}.words`)) {
      const each = object(word, `${path}.words`);
      fields(each, { centroidHarmonics: 'number', cents: 'number' }, `${path}.words`);
      if (typeof each.text !== 'string' || each.text.length > MOST_WORD) fail(`${path}.words`);
    }
  if (row.subtone !== undefined && row.subtone !== null)
    fields(
      object(row.subtone, `${path}.subtone`),
      { airierDb: 'number', softerDb: 'number', centroidShare: 'number', kind: ['full', 'subtone', 'weak'] },
      `${path}.subtone`,
    );
}

const events = (value: unknown, path: string) =>
  list(value, MOST_EVENTS, path).forEach((event, i) => told(event, 'type', EVENTS, `${path}[${i}]`));

function item(value: unknown, path: string): void {
  const row = object(value, path);
  const { kind } = row;
  if (typeof kind !== 'string' || !Object.hasOwn(ITEMS, kind)) return fail(`${path}.kind`);
  fields(row, { item: 'number', startSeconds: 'numberOrNull', endSeconds: 'numberOrNull' }, path);
  fields(row, ITEMS[kind as keyof typeof ITEMS], path);
  if (row.heardPartial !== undefined && !isField(row.heardPartial, 'numberOrNull'))
    fail(`${path}.heardPartial`);
  events(row.events, `${path}.events`);
  if (row.verdict !== null) verdict(row.verdict, `${path}.verdict`);
  if (MEASURED.includes(kind) || (row.measures !== null && row.measures !== undefined))
    measures(row.measures, `${path}.measures`);
  if (row.tones !== undefined)
    for (const tone of list(row.tones, MOST_ITEMS, `${path}.tones`))
      fields(
        object(tone, `${path}.tones`),
        { writtenMidi: 'midi', cents: 'number', startSeconds: 'number', seconds: 'number' },
        `${path}.tones`,
      );
}

/**
 * What is wrong with an analysis that comes from outside: the path of the first field that a reader could fail on; null where every reader can
 * go on. It knows nothing of the exercise: how many items there must be is asked by who has it.
 */
export function analysisFault(value: unknown): string | null {
  try {
    const row = object(value, 'analysis');
    if (row.beatZeroSeconds !== undefined) fields(row, { beatZeroSeconds: 'number' }, 'analysis');
    if (row.playedBeats !== undefined)
      list(row.playedBeats, MOST_ITEMS, 'analysis.playedBeats').forEach(
        (beats) => isNumber(beats) || fail('analysis.playedBeats'),
      );
    if (row.processing !== undefined) fields(row, { processing: SOUND_PROCESSINGS }, 'analysis');
    if (row.notJudged !== undefined)
      list(row.notJudged, NOT_JUDGED.length, 'analysis.notJudged').forEach(
        (each) => isField(each, NOT_JUDGED) || fail('analysis.notJudged'),
      );
    const items = list(row.items, MOST_ITEMS, 'analysis.items');
    items.forEach((each, i) => item(each, `analysis.items[${i}]`));
    events(row.events, 'analysis.events');
    measures(row.measures, 'analysis.measures');
    const whole = verdict(row.verdict, 'analysis.verdict');
    fields(whole, { judged: 'number', asWritten: 'number' }, 'analysis.verdict');
    list(whole.of, MOST_FINDINGS, 'analysis.verdict.of').forEach(
      (of) => isNumber(of) || fail('analysis.verdict.of'),
    );
    return null;
  } catch (error) {
    if (error instanceof Fault) return error.message;
    throw error;
  }
}
