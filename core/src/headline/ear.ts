import { NO_ANSWER, type Answers } from './answer.ts';
import { itemsOf, measured, most, nameOf, notesIn, type PlayedNote } from './played.ts';
import { SAME_CENTS, type Statement } from './statement.ts';
import { median } from '../stats/index.ts';

/** An ear that lands nearer than this landed on the note. */
const LANDED_CENTS = 15;

const landing = ({ measures }: PlayedNote) => measures?.landingCents;
const size = (note: PlayedNote) => {
  const cents = landing(note);
  return typeof cents === 'number' ? Math.abs(cents) : null;
};

/** How many landed within a band; said of more than one. */
function landedWithin(notes: readonly PlayedNote[]): Statement[] {
  if (notes.length < 2) return [];
  const clean = notes.filter((note) => (size(note) ?? Infinity) <= LANDED_CENTS).length;
  return [{ kind: 'landedWithin', clean, of: notes.length, withinCents: LANDED_CENTS }];
}

/** Where the first instant of an imagined interval landed; of several the one that landed farthest off. */
export const intervalAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const imagined = itemsOf(takes).filter(({ written }) => written.kind === 'imagine');
  const tops = notes.filter((note) =>
    imagined.some(({ take, heard }) => take === note.take && heard.item === note.heard.item - 1),
  );
  const told = most(tops, size);
  const cents = told && landing(told);
  if (!told || typeof cents !== 'number') return NO_ANSWER;
  const base = notes.find(({ take, heard }) => take === told.take && heard.item === told.heard.item - 2);
  const settleMs = told.measures?.settleMs ?? null;
  const statements = landedWithin(tops);
  statements.push(
    base
      ? {
          kind: 'interval',
          halfSteps: told.written.writtenMidi - base.written.writtenMidi,
          cents,
          base: nameOf(base.written),
          note: nameOf(told.written),
        }
      : { kind: 'landed', note: nameOf(told.written), cents },
  );
  if (settleMs !== null && Math.abs(cents) >= SAME_CENTS) statements.push({ kind: 'settled', ms: settleMs });
  return { statements, tells: ['landing', 'pitch'] };
};

/** Heard, hummed, played: where the hum lay, and where the first instant of the note. */
export const humAnswer: Answers = (takes) => {
  const hums = itemsOf(takes).flatMap(({ heard }) =>
    heard.kind === 'hum' && heard.measures.humCents !== null ? [heard.measures.humCents] : [],
  );
  const notes = notesIn(takes);
  const statements: Statement[] = landedWithin(notes);
  const hummed = median(hums);
  if (hummed !== null) statements.push({ kind: 'hummed', cents: hummed });
  const told = most(notes, size);
  const cents = told && landing(told);
  if (told && typeof cents === 'number')
    statements.push({ kind: 'landed', note: nameOf(told.written), cents });
  return measured(notes, landing).length === 0 && hummed === null
    ? NO_ANSWER
    : { statements, tells: ['landing', 'hum', 'pitch'] };
};
