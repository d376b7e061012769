import type { NoteNaming, WrittenMidi } from '@inner-hum/core/horn';
import { sentenceOf, type Finding } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { decimals } from '../words/index.ts';
import { noteText } from './NoteGlyph.tsx';

/** What stands for the figures of a sentence. */
export type Put = Record<string, string | number>;
const size = (value: number, digits: number) => decimals(Math.abs(value), digits);
const whole = (value: number) => Math.round(Math.abs(value));
/** A player hears no tenth of what a hundredth of a second is. */
export const tens = (ms: number) => Math.round(Math.abs(ms) / 10) * 10;

/** What each figure of a finding puts into its sentence. Sides are said in words, so that figures are sizes. */
const PUT: Record<string, (value: number) => Put> = {
  partial: (partial) => ({ partial }),
  to: (partial) => ({ partial }),
  wanted: (wanted) => ({ wanted }),
  count: (count) => ({ count }),
  ms: (ms) => ({ ms: tens(ms) }),
  lengthMs: (ms) => ({ ms: tens(ms) }),
  seconds: (seconds) => ({ seconds: decimals(seconds, 1) }),
  atSeconds: (seconds) => ({ seconds: decimals(seconds, 1) }),
  heldSeconds: (held) => ({ held: size(held, 1) }),
  writtenSeconds: (written) => ({ written: size(written, 1) }),
  beats: (beats) => ({ beats: size(beats, 1) }),
  cents: (cents) => ({ count: whole(cents), cents: whole(cents) }),
  // Of a take from before version 10 of the database.
  spreadCents: (cents) => ({ count: whole(cents) }),
  withinCents: (cents) => ({ within: whole(cents) }),
  writtenDb: (db) => ({ written: size(db, 0) }),
  percent: (percent) => ({ percent: whole(percent) }),
  wantedCents: (cents) => ({ wanted: whole(cents) }),
  db: (db) => ({ db: size(db, 1) }),
  worstDb: (db) => ({ db: decimals(db, 1) }),
  errorDb: (db) => ({ db: size(db, 1) }),
  airierDb: (db) => ({ airier: decimals(db, 0) }),
  softerDb: (db) => ({ softer: decimals(db, 0) }),
  harmonics: (harmonics) => ({ harmonics: size(harmonics, 1) }),
  ownLowDb: (db) => ({ ownLow: size(db, 1) }),
  ownShortDb: (db) => ({ ownShort: size(db, 1) }),
  lowShortDb: (db) => ({ lowShort: size(db, 1) }),
  spanDb: (db) => ({ span: size(db, 0) }),
  fallDb: (db) => ({ db: size(db, 0) }),
  plusMinusDb: (db) => ({ plusMinus: size(db, 1) }),
  hz: (hz) => ({ hz: size(hz, 1) }),
  leastHz: (least) => ({ least }),
  mostHz: (most) => ({ most }),
  regularity: (share) => ({ percent: whole(100 * share) }),
};

/** What a figure puts into its sentence by its name; undefined where it is put in as it is. */
export const putFigure = (name: string, value: number): Put | undefined => PUT[name]?.(value);

/** A finding in words, with its figures. */
export function findingText(finding: Finding, naming: NoteNaming, t: TFunction): string {
  const sentence = sentenceOf(finding);
  if (sentence === null) return '';
  const put: Put = {};
  for (const [name, value] of Object.entries(finding) as [string, string | number][]) {
    if (name === 'heardMidi') put.note = noteText(value as WrittenMidi, naming);
    else if (name === 'cause') put.cause = t(`cause.${value as 'pitch'}`);
    else if (name === 'mark' || name === 'written') put[name] = value;
    else if (typeof value === 'number') Object.assign(put, PUT[name]?.(value));
  }
  if (put.count === undefined && put.within !== undefined) put.count = put.within;
  return t(`finding.${sentence}` as 'finding.quiet', put);
}
