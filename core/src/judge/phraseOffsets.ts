import { DEFAULT_SCALE } from '../exercise/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';
import type { JudgeContext } from './judgeContext.ts';
import type { JudgedNote } from './judgeNote.ts';
import { BEYOND_BAND_DB } from './levelFindings.ts';
import { phraseOffsetDb, type PhraseLevel, type PlacedNote } from './phraseLevel.ts';

/** Whether a phrase has one steady mark for all of its notes. */
function isFlat({ score }: JudgeContext, phrase: number): boolean {
  const marks = score.flatMap(({ item, phrase: theirs }) =>
    item.kind === 'note' && theirs === phrase ? item.dynamics.map(({ mark }) => mark) : [],
  );
  return new Set(marks).size === 1;
}

/** How much louder or softer than written each phrase was played as a whole, by its number. */
export function phraseOffsetsOf(
  judging: JudgeContext,
  judged: ReadonlyMap<number, JudgedNote>,
): Map<number, PhraseLevel> {
  const { score, tolerance, context } = judging;
  const placed = new Map<number, PlacedNote[]>();
  const placedEvenly = new Map<number, PlacedNote[]>();
  for (const [index, { measures, span, evenLessLevelDb }] of judged) {
    if (measures.levelOffsetDb === null) continue;
    const { phrase } = score[index];
    const note = { offsetDb: measures.levelOffsetDb, seconds: (span.last - span.first) * FRAME_SECONDS };
    placed.set(phrase, [...(placed.get(phrase) ?? []), note]);
    if (evenLessLevelDb === null) continue;
    const even = { ...note, offsetDb: note.offsetDb + evenLessLevelDb };
    placedEvenly.set(phrase, [...(placedEvenly.get(phrase) ?? []), even]);
  }
  const bandDb = tolerance.swellErrorDb + BEYOND_BAND_DB;
  return new Map(
    [...placed].map(([phrase, notes]) => [
      phrase,
      {
        offsetDb: phraseOffsetDb(notes, bandDb, context.scale),
        // By their partials they have a place of their own, unlike any scale.
        evenOffsetDb: placedEvenly.has(phrase)
          ? phraseOffsetDb(placedEvenly.get(phrase) ?? [], bandDb, DEFAULT_SCALE)
          : null,
        isAlone: notes.length < 2,
        isFlat: isFlat(judging, phrase),
      },
    ]),
  );
}
