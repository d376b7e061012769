import {
  markFraction,
  levelAtFraction,
  targetFraction,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { levelCurve } from './levelCurve.ts';
import { agreedDb } from './evenLevel.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { JudgeContext } from './judgeContext.ts';
import type { ItemMeasures, LineMeasures } from './measures.ts';
import { joinNotes } from './noteTrack.ts';
import { measureSlur } from './slur.ts';
import { peakOffsetBeats } from './swellMeasures.ts';

/** The one mark a note is written at, or null where it grows or fades. */
function steadyMark({ dynamics }: NoteItem): number | null {
  const [first, ...others] = dynamics.map(({ mark }) => markFraction(mark));
  return others.every((each) => each === first) ? first : null;
}

/**
 * How much louder a note came than the one before, beyond what is written between them: at the change itself where hairpins meet,
 * else by their means.
 */
function levelStep(before: JudgedNote, here: JudgedNote): number | null {
  if (before.hairpin && here.hairpin) {
    const [from, to] = [before.hairpin.end, here.hairpin.begin];
    return to.playedDb - to.writtenDb - (from.playedDb - from.writtenDb);
  }
  const [from, to] = [before.measures.levelOffsetDb, here.measures.levelOffsetDb];
  if (from === null || to === null) return null;
  const [evenFrom, evenTo] = [before.evenLessLevelDb, here.evenLessLevelDb];
  return agreedDb(to - from, evenFrom === null || evenTo === null ? null : to + evenTo - from - evenFrom);
}

/** How a note followed the one before: the change between them, and the evenness of the line. */
export function measureLine(
  judging: JudgeContext,
  before: JudgedNote,
  here: JudgedNote,
  isSlurred: boolean,
): LineMeasures {
  const level = steadyMark(here.item);
  const even = level !== null && level === steadyMark(before.item);
  const step = (name: 'centroidHarmonics' | 'centsMean') => {
    const [from, to] = [before.measures[name], here.measures[name]];
    return !even || from === null || to === null ? null : to - from;
  };
  const isSamePitch = before.item.writtenMidi === here.item.writtenMidi;
  const rings = judging.roomDecayDbPerSecond !== null;
  const slur = isSlurred ? measureSlur(judging.track, before.span, here.span, judging.masked, rings) : null;
  return {
    stepDb: levelStep(before, here),
    stepCentroidHarmonics: step('centroidHarmonics'),
    stepCents: step('centsMean'),
    // Where only the fingers change there is no way from one pitch to another.
    slurMs: isSamePitch ? null : (slur?.slurMs ?? null),
    overshootCents: isSamePitch ? null : (slur?.overshootCents ?? null),
    gapMs: slur?.gapMs ?? null,
  };
}

/**
 * peakOffset of a swell that turns where one note is slurred to the next: over both notes, against the beat of the slur.
 * Nothing where the pair is no such swell.
 */
export function measureJoinedPeak(
  { context: { scale }, secondsPerBeat }: JudgeContext,
  before: { timed: TimedItem<NoteItem>; judged: JudgedNote },
  here: { timed: TimedItem<NoteItem>; judged: JudgedNote },
  zero: number,
): Pick<ItemMeasures, 'peakOffsetBeats'> | null {
  const [first, second] = [before.timed.item, here.timed.item];
  const rises = targetFraction(first, first.lengthBeats) > targetFraction(first, 0);
  const falls = targetFraction(second, second.lengthBeats) < targetFraction(second, 0);
  if (!rises || !falls) return null;
  const start = before.timed.startBeat;
  const target = (beat: number) =>
    levelAtFraction(
      beat <= first.lengthBeats
        ? targetFraction(first, beat)
        : targetFraction(second, beat - first.lengthBeats),
      scale,
    );
  const curve = levelCurve(
    joinNotes([before.judged.read, here.judged.read]),
    zero + start * secondsPerBeat,
    secondsPerBeat,
    first.lengthBeats + second.lengthBeats,
    target,
  );
  return { peakOffsetBeats: peakOffsetBeats(curve, first.lengthBeats) };
}

/**
 * Marks the notes that are back where the line was before a note that stood out of it: a step there and a step back are one fault, and it
 * is that note's. `judged` by item, in order; a note beside a step within the band is left alone.
 */
export function markBackInLine(judged: ReadonlyMap<number, JudgedNote>, bandDb: number): void {
  for (const [index, note] of judged) {
    const before = judged.get(index - 1);
    const [there, back] = [before?.measures.stepDb, note.measures.stepDb];
    if (!before || before.isBackInLine || typeof there !== 'number' || typeof back !== 'number') continue;
    if (Math.abs(there) > bandDb && Math.abs(back) > bandDb && Math.abs(there + back) <= bandDb)
      note.isBackInLine = true;
  }
}
