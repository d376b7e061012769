import { matchDb } from '../judge/index.ts';
import { median } from '../stats/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { isCalm, measured, most, nameOf, notesIn, type PlayedNote } from './played.ts';
import { SAME_AIR_DB, SAME_COLOUR_PERCENT, type Statement } from './statement.ts';

/** Three sounds of one pitch by three fingerings in a phrase: their three distances, medians over the takes; null where there are not three. */
function threeWays(notes: readonly PlayedNote[]): Statement | null {
  const takes = [...new Set(notes.map(({ take }) => take))].map((take) =>
    notes.filter((each) => each.take === take),
  );
  if (takes.some((three) => three.length !== 3)) return null;
  const between = (a: number, b: number) =>
    median(
      takes.flatMap((three) => {
        const [from, to] = [three[a].measures?.profileDb, three[b].measures?.profileDb];
        return (from && to && matchDb(from, to)) ?? [];
      }),
    );
  const [ownLowDb, ownShortDb, lowShortDb] = [between(0, 1), between(0, 2), between(1, 2)];
  return ownLowDb === null || ownShortDb === null || lowShortDb === null
    ? null
    : { kind: 'threeWays', ownLowDb, ownShortDb, lowShortDb };
}

/** Two sounds of one pitch: how near they came; of three each two. */
export const matchAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const second = notes.filter(({ measures }) => typeof measures?.matchDb === 'number');
  const middle = (figure: (note: PlayedNote) => number | null | undefined) =>
    median(measured(second, figure));
  const db = middle(({ measures }) => measures?.matchDb);
  const cents = middle(({ measures }) => measures?.matchCents);
  if (db === null || cents === null) return NO_ANSWER;
  const statements: Statement[] = [{ kind: 'matched', db, cents: Math.abs(cents) }];
  const three = threeWays(notes);
  if (three) return { statements: [three], tells: ['colourApart'] };
  const far = most(second, ({ measures }) => measures?.matchDb);
  if (far?.measures?.matchDb && new Set(second.map(({ written }) => written.writtenMidi)).size > 1)
    statements.push({ kind: 'farthest', note: nameOf(far.written), db: far.measures.matchDb });
  const firstOf = ({ take, written }: PlayedNote) =>
    notes.find((note) => note.take === take && note.written.writtenMidi === written.writtenMidi)?.measures;
  const percent = middle((note) => {
    const [from, to] = [firstOf(note)?.centroidHarmonics, note.measures?.centroidHarmonics];
    return from && to ? 100 * (to / from - 1) : null;
  });
  const air = middle((note) => {
    const [from, to] = [firstOf(note)?.noiseToHarmonicDb, note.measures?.noiseToHarmonicDb];
    return typeof from === 'number' && typeof to === 'number' ? to - from : null;
  });
  if (percent !== null && Math.abs(percent) >= SAME_COLOUR_PERCENT)
    statements.push({ kind: 'matchColour', percent });
  if (air !== null && Math.abs(air) >= SAME_AIR_DB) statements.push({ kind: 'matchAir', db: air });
  return {
    statements,
    tells: notes.every(isCalm) ? [] : ['colourApart', 'pitchApart'],
  };
};
