import { FRAME_SECONDS } from '../hearing/index.ts';
import { matchDb } from '../judge/index.ts';
import { median, percentile, theilSen } from '../stats/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { itemsOf, measured, notesIn, type PlayedNote } from './played.ts';
import type { Statement } from './statement.ts';

/** Of changes that are called even, so many lie within the figure that is told. */
const EVEN_PERCENT = 90;
/** Finer than a frame nothing is known. */
const LEAST_MS = 1000 * FRAME_SECONDS;

/** How far changes lie from an even beat of the player's own, in ms: a tempo that is a little other than written is no unevenness. */
function unevenMs(notes: readonly PlayedNote[]): number | null {
  const offsets = measured(notes, ({ measures }) => measures?.onsetOffsetMs);
  const line = theilSen(
    offsets.map((_, i) => i),
    offsets,
  );
  return (
    line &&
    percentile(
      offsets.map((offset, i) => Math.abs(offset - line.intercept - line.slope * i)),
      EVEN_PERCENT,
    )
  );
}

/** Two fingerings of one note in quick alternation: how much the colour changes with them, and how even they come. */
export const alternationAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const changes = notes.filter(({ written }) => written.attack === 'slurred');
  const heard = changes.filter(({ measures }) => typeof measures?.onsetOffsetMs === 'number');
  if (changes.every(({ measures }) => measures === null)) return NO_ANSWER;
  const steps = notes.flatMap(({ measures, written, take }, i) => {
    const before = i > 0 ? notes[i - 1] : null;
    const [from, to] = [before?.measures?.profileDb, measures?.profileDb];
    const isChange = before?.take === take && before.written.fingered !== written.fingered;
    if (!isChange || !from || !to) return [];
    return matchDb(from, to) ?? [];
  });
  const db = median(steps);
  const ms = median(
    [...takes.keys()].flatMap((take) => unevenMs(heard.filter((note) => note.take === take)) ?? []),
  );
  const statements: Statement[] = [];
  if (heard.length < changes.length)
    statements.push({ kind: 'changesHeard', heard: heard.length, of: changes.length });
  if (db !== null && heard.length > 0) statements.push({ kind: 'effect', db });
  if (ms !== null) statements.push({ kind: 'evenWithin', ms: Math.max(LEAST_MS, ms) });
  return { statements, tells: ['beat'] };
};

/** What spoke on one fingering, upward: each note with how often it came, and where it lay. */
export const spokeAnswer: Answers = (takes) => {
  const tones = itemsOf(takes).flatMap(({ heard }) => (heard.kind === 'free' ? (heard.tones ?? []) : []));
  const notes = [...new Set(tones.map(({ writtenMidi }) => writtenMidi))].toSorted((a, b) => a - b);
  if (notes.length === 0) return { statements: [{ kind: 'noneSpoke' }], tells: [] };
  const list = notes.map((writtenMidi) => {
    const same = tones.filter((tone) => tone.writtenMidi === writtenMidi);
    return {
      note: { writtenMidi, fingered: null },
      times: same.length,
      cents: median(same.map(({ cents }) => cents)) ?? 0,
    };
  });
  return { statements: [{ kind: 'spoke', list, count: list.length }], tells: [] };
};
