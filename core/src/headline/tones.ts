import type { NoteItem } from '../exercise/index.ts';
import { median } from '../stats/index.ts';
import { NO_ANSWER, type Answer, type Answers } from './answer.ts';
import { bentCents, hasFound, measured, most, nameOf, notesIn } from './played.ts';
import type { NamedNote, Statement } from './statement.ts';

/** Where it is asked whether it is a subtone, its name does not say so. */
export const toneless = (note: NoteItem): NamedNote => ({
  writtenMidi: note.writtenMidi,
  fingered: note.fingered,
});

/** Is it a subtone? Of several: how many are, and the one that is farthest from one. */
export const subtoneAnswer: Answers = (takes) => {
  const asked = notesIn(takes).filter(({ written }) => written.tone === 'subtone');
  const judged = asked.filter(({ measures }) => measures?.subtone);
  const clean = judged.filter(({ measures }) => measures?.subtone?.kind === 'subtone');
  const least = most(judged, ({ measures }) => {
    const subtone = measures?.subtone;
    return subtone ? (subtone.kind === 'subtone' ? -1e3 : 0) - subtone.airierDb : null;
  });
  const subtone = least?.measures?.subtone;
  if (!least || !subtone) return NO_ANSWER;
  const { airierDb, softerDb, kind: tone } = subtone;
  const statements: Statement[] = [];
  if (judged.length > 1) statements.push({ kind: 'subtones', clean: clean.length, of: judged.length });
  if (judged.length === 1 || tone !== 'subtone')
    statements.push({ kind: 'subtone', note: toneless(least.written), airierDb, softerDb, tone });
  const starts = asked.filter(({ written }) => written.attack === 'breath');
  if (starts.length > 0)
    statements.push({
      kind: 'byTongue',
      count: starts.filter((note) => hasFound(note, 'byTongue')).length,
      of: starts.length,
    });
  return { statements, tells: ['stillFull', 'weakTone', 'subtone', 'byTongue'] };
};

/** A straight tone and one that swings on purpose: how fast, how far, how evenly. */
export const vibratoAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const { statements, tells }: Answer = notes.some(({ written }) => written.tone === 'subtone')
    ? subtoneAnswer(takes)
    : NO_ANSWER;
  const swings = (['slow', 'normal'] as const).flatMap((asked): Statement[] => {
    const swinging = notes.filter(
      ({ written, measures }) => written.vibrato === asked && measures?.vibratoHz,
    );
    const middle = (figure: 'vibratoHz' | 'vibratoCents' | 'vibratoRegularity') =>
      median(measured(swinging, ({ measures }) => measures?.[figure]));
    const [hz, cents, regularity] = [
      middle('vibratoHz'),
      middle('vibratoCents'),
      middle('vibratoRegularity'),
    ];
    return hz === null || cents === null
      ? []
      : [{ kind: 'vibrato', asked, hz, cents, percent: 100 * (regularity ?? 0) }];
  });
  return { statements: [...statements, ...swings], tells: [...tells, 'vibratoUneven', 'vibrato'] };
};

/** A lower note on the fingers of a higher one: where it lay, and how soon it stood; of several tries the nearest. */
export const voicedAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const reached = takes.flatMap((_, take) => notes.filter((note) => note.take === take).at(-1) ?? []);
  const nearest = most(reached, ({ measures }) =>
    typeof measures?.centsMean === 'number' ? -Math.abs(measures.centsMean) : null,
  );
  const { centsMean, clearSeconds } = nearest?.measures ?? {};
  if (!nearest || typeof centsMean !== 'number') return NO_ANSWER;
  const statements: Statement[] = [{ kind: 'voiced', note: nameOf(nearest.written), cents: centsMean }];
  if (typeof clearSeconds === 'number') statements.push({ kind: 'firstTry', seconds: clearSeconds, of: 1 });
  return { statements, tells: [] };
};

/** How far a note was bent down, or raised, with its tone kept, and how near it came back. */
export const bendAnswer: Answers = (takes) => {
  const farthest = most(notesIn(takes), ({ measures }) => bentCents(measures));
  const cents = bentCents(farthest?.measures);
  if (typeof cents !== 'number') return NO_ANSWER;
  const { raiseRangeCents, bendBackCents } = farthest?.measures ?? {};
  const statements: Statement[] = [{ kind: typeof raiseRangeCents === 'number' ? 'raised' : 'bent', cents }];
  if (typeof bendBackCents === 'number') statements.push({ kind: 'back', cents: Math.abs(bendBackCents) });
  return { statements, tells: ['bendShort', 'raiseShort', 'bendBack', 'bent', 'raised'] };
};

/** Which vowel is dark and which bright, and how far the pitch moved with them. */
export const vowelsAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  if (notes.every((note) => hasFound(note, 'colourStill'))) return NO_ANSWER;
  const words = notes.flatMap(({ measures }) => measures?.words ?? []);
  const texts = [...new Set(words.map(({ text }) => text))];
  const brightness = (text: string) =>
    median(words.filter((word) => word.text === text).map(({ centroidHarmonics }) => centroidHarmonics)) ?? 0;
  const darkest = most(texts, (text) => -brightness(text));
  const brightest = most(texts, brightness);
  if (darkest === null || brightest === null || darkest === brightest) return NO_ANSWER;
  const cents = texts.map(
    (text) => median(words.filter((word) => word.text === text).map((word) => word.cents)) ?? 0,
  );
  const withinCents = (Math.max(...cents) - Math.min(...cents)) / 2;
  return { statements: [{ kind: 'vowels', darkest, brightest, withinCents }], tells: ['colourMoved'] };
};
