import { COLUMN_FIGURES, figureRow, UNITS } from '../figures/index.ts';
import { plainName, type HornId } from '../horn/index.ts';
import { isNeutral, type NoteAnalysis, type TakeAnalysis, type TakeContext } from '../judge/index.ts';
import { headed, rounded, toCsv, type Cell, type CsvStyle } from './csv.ts';

/** A take as a table needs it. */
export interface TabledTake {
  id: string;
  startedAt: number;
  /** By the clock of the place where it was played. */
  day: string;
  clock: string;
  hornId: HornId;
  source: string;
  mouthpieceId: string;
  reedKind: string;
  lengthSeconds: number;
  context: TakeContext | null;
  analysis: TakeAnalysis | null;
  playerNote: string;
}

/** The figures of a note in the order of their columns, each with its unit; empty: a plain number. */
const FIGURE_COLUMNS = COLUMN_FIGURES.map((id) => [id, UNITS[figureRow(id).unit]] as const);
const DIGITS = 3;

/** What is told of every note besides its figures. */
const LEADING = [
  ['takeId', ''],
  ['day', ''],
  ['clock', ''],
  ['startedAt', 'UTC'],
  ['horn', ''],
  ['source', ''],
  ['mouthpiece', ''],
  ['reed', ''],
  ['exercise', ''],
  ['place', ''],
  ['note', ''],
  ['writtenMidi', ''],
  ['heardMidi', ''],
  ['status', ''],
  ['asWritten', ''],
  ['start', 's'],
  ['end', 's'],
] as const;
const LAST = [['playerNote', '']] as const;

function noteCells(take: TabledTake, note: NoteAnalysis): Cell[] {
  const { context, analysis } = take;
  const exercise = context?.exercise;
  const plain = note.verdict?.findings.every(isNeutral) ?? null;
  const leading: Record<(typeof LEADING)[number][0], Cell> = {
    takeId: take.id,
    day: take.day,
    clock: take.clock,
    startedAt: new Date(take.startedAt).toISOString(),
    horn: take.hornId,
    source: take.source,
    mouthpiece: take.mouthpieceId,
    reed: take.reedKind,
    exercise: exercise?.name ?? exercise?.family ?? '',
    place: (analysis?.items.indexOf(note) ?? 0) + 1,
    note: plainName(note.writtenMidi),
    writtenMidi: note.writtenMidi,
    heardMidi: note.heardMidi,
    status: note.status,
    asWritten: plain,
    start: rounded(note.startSeconds, DIGITS),
    end: rounded(note.endSeconds, DIGITS),
  };
  return [
    ...LEADING.map(([name]) => leading[name]),
    ...FIGURE_COLUMNS.map(([name]) => rounded(note.measures?.[name] ?? null, DIGITS)),
    take.playerNote,
  ];
}

const notesOfTake = ({ analysis }: TabledTake) =>
  (analysis?.items ?? []).filter((item): item is NoteAnalysis => item.kind === 'note');

const COLUMNS: readonly (readonly [string, string])[] = [...LEADING, ...FIGURE_COLUMNS, ...LAST];

/**
 * Every judged note of some takes as CSV (RFC 4180): units in the header, nothing read as a formula, no answer is empty.
 * `withHeader` false continues a table.
 */
export function notesToCsv(takes: readonly TabledTake[], style?: CsvStyle, withHeader = true): string {
  const rows = takes.flatMap((take) => notesOfTake(take).map((note) => noteCells(take, note)));
  const header = COLUMNS.map(([name, unit]) => headed(name, unit));
  return toCsv(withHeader ? [header, ...rows] : rows, { style, isFile: withHeader });
}

/** The same as JSON: a list of notes and, by name, the unit of each field that has one. */
export function notesToJson(takes: readonly TabledTake[]): string {
  const notes = takes.flatMap((take) =>
    notesOfTake(take).map((note) => {
      const cells = noteCells(take, note);
      return Object.fromEntries(COLUMNS.map(([name], i) => [name, cells[i]]));
    }),
  );
  const units = Object.fromEntries(COLUMNS.filter(([, unit]) => unit !== ''));
  return `${JSON.stringify({ format: 'inner-hum-notes', version: 2, units, notes }, null, 1)}\n`;
}

const TAKE_COLUMNS = [
  'takeId',
  'day',
  'clock',
  'startedAt [UTC]',
  'horn',
  'source',
  'mouthpiece',
  'reed',
  'exercise',
  'length [s]',
  'judged [notes]',
  'asWritten [notes]',
  'playerNote',
];

/** Some takes as CSV, one row a take. */
export function takesToCsv(takes: readonly TabledTake[], style?: CsvStyle, withHeader = true): string {
  const rows = takes.map((take): Cell[] => {
    const { context, analysis } = take;
    return [
      take.id,
      take.day,
      take.clock,
      new Date(take.startedAt).toISOString(),
      take.hornId,
      take.source,
      take.mouthpieceId,
      take.reedKind,
      context?.exercise.name ?? context?.exercise.family ?? '',
      rounded(take.lengthSeconds, DIGITS),
      analysis?.verdict.judged ?? null,
      analysis?.verdict.asWritten ?? null,
      take.playerNote,
    ];
  });
  return toCsv(withHeader ? [TAKE_COLUMNS, ...rows] : rows, { style, isFile: withHeader });
}
