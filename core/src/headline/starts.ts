import { nearestMark } from '../exercise/index.ts';
import { START_LIMITS, type FindingKind } from '../judge/index.ts';
import { mean, meanWithInterval, median } from '../stats/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import {
  hasFound,
  isCalm,
  itemsOf,
  measured,
  most,
  notesIn,
  type PlayedItem,
  type PlayedNote,
} from './played.ts';
import type { Statement } from './statement.ts';

/** Out of bare air: how often it caught, at which mark, after how long, and whether the note itself spoke first. */
export const caughtAnswer: Answers = (takes) => {
  const all = itemsOf(takes);
  const notes = notesIn(takes);
  const caught = notes.filter(({ measures }) => measures !== null);
  if (caught.length === 0) return NO_ANSWER;
  const airBefore = ({ take, heard }: PlayedNote) =>
    all.find((each) => each.take === take && each.heard.item === heard.item - 1 && each.heard.kind === 'air');
  const seconds = median(
    measured(caught, (note) => {
      const start = airBefore(note)?.heard.startSeconds;
      return typeof start !== 'number' || note.heard.startSeconds === null
        ? null
        : note.heard.startSeconds - start;
    }),
  );
  const markOf = (figure: 'caughtDb' | 'letGoDb') => {
    const levels = measured(caught, ({ measures }) => measures?.[figure]);
    const level = figure === 'caughtDb' ? median(levels) : levels.length > 0 ? Math.min(...levels) : null;
    return level === null ? null : nearestMark(level, takes[0].scale);
  };
  const [mark, softest] = [markOf('caughtDb'), markOf('letGoDb')];
  const statements: Statement[] = [];
  if (notes.length > 1) statements.push({ kind: 'spokeOf', clean: caught.length, of: notes.length });
  if (mark !== null) statements.push({ kind: 'caught', mark, seconds });
  const count = caught.filter((note) => hasFound(note, 'firstPartial')).length;
  statements.push({ kind: 'overtoneFirst', count, of: caught.length });
  if (softest !== null) statements.push({ kind: 'softestBeforeAir', mark: softest });
  return {
    statements,
    tells: ['firstPartial', 'airUnheard', ...(notes.length > 1 ? (['missed'] as const) : [])],
  };
};

/** A side of a pair that lets more through by less than this lets as much through. */
const SAME_LIPS_DB = 1;

const airOf = ({ written, heard }: PlayedItem) =>
  written.kind === 'air' && heard.kind === 'air' && heard.measures.airLevelDb !== null
    ? [{ side: written.words?.at(0)?.text ?? '', db: heard.measures.airLevelDb }]
    : [];

/** Which of two sides let more air through: the mean over the pairs, with its interval. */
export const lipsAnswer: Answers = (takes) => {
  const all = itemsOf(takes);
  const pairs = [...takes.keys()].flatMap((take) => {
    const airs = all
      .filter((item) => item.take === take)
      .flatMap(airOf)
      .toSorted((a, b) => (a.side < b.side ? -1 : 1));
    return airs.length === 2 ? [{ sides: airs.map(({ side }) => side), db: airs[1].db - airs[0].db }] : [];
  });
  if (pairs.length === 0) {
    const unheard = all.find(({ heard }) => heard.kind === 'air' && heard.measures.airLevelDb === null);
    const side = unheard?.written.kind === 'air' ? unheard.written.words?.at(0)?.text : undefined;
    const isOne = all.some(({ heard }) => heard.kind === 'air' && heard.measures.airLevelDb !== null);
    return side !== undefined && isOne
      ? { statements: [{ kind: 'sideUnheard', side }], tells: [] }
      : NO_ANSWER;
  }
  const differences = pairs.map(({ db }) => db);
  const middle = mean(differences);
  const [less, more] = middle < 0 ? [1, 0] : [0, 1];
  const interval = meanWithInterval(differences);
  const plusMinusDb = interval && interval.high - interval.mean;
  const { sides } = pairs[0];
  return {
    statements: [
      {
        kind: 'lips',
        side: sides[more],
        other: sides[less],
        db: Math.abs(middle),
        clean: differences.filter((db) => Math.sign(db) === Math.sign(middle)).length,
        of: pairs.length,
        isClear: Math.abs(middle) >= SAME_LIPS_DB && (plusMinusDb === null || plusMinusDb < Math.abs(middle)),
        plusMinusDb,
      },
    ],
    tells: [],
  };
};

/** Told of a start by its difference from the slurred note. */
const START_KINDS: readonly FindingKind[] = ['startLevel', 'startBreath', 'startColour', 'startPitch'];

/** Begun again after the same note was slurred to: how many starts sound like it, the one that differs most, how fast each answered. */
export const restartsAnswer: Answers = (takes) => {
  const starts = notesIn(takes).filter(
    ({ measures, written }) => typeof measures?.startLevelDb === 'number' && written.attack !== 'slurred',
  );
  if (starts.length === 0) return NO_ANSWER;
  const clean = starts.filter(isCalm).length;
  const statements: Statement[] = [{ kind: 'startsAlike', clean, of: starts.length }];
  const differing = starts.filter((note) => START_KINDS.some((kind) => startFinding(note, kind)));
  const told = most(differing, ({ measures }) => Math.abs(measures?.startLevelDb ?? 0));
  if (told?.measures) {
    const { startLevelDb, startColourPercent, startBreathDb, startCents } = told.measures;
    const where = (kind: FindingKind, value: number | null | undefined) =>
      startFinding(told, kind) ? (value ?? null) : null;
    statements.push({
      kind: 'startDiffers',
      number: starts.indexOf(told) + 1,
      db: where('startLevel', startLevelDb),
      percent: where('startColour', startColourPercent),
      airDb: where('startBreath', startBreathDb),
      cents: where('startPitch', startCents),
    });
  }
  const list = measured(starts, ({ measures }) => measures?.responseMs);
  if (list.length > 0) statements.push({ kind: 'responses', list });
  const tells: FindingKind[] = differing.length > 0 ? [...START_KINDS, 'place', 'step', 'pitch'] : [];
  return { statements, tells };
};

/** Whether a start differs in this beyond what passes: by its figures, since a verdict names two findings only. */
function startFinding({ measures }: PlayedNote, kind: FindingKind): boolean {
  const beyond = (value: number | null | undefined, limit: number) =>
    typeof value === 'number' && Math.abs(value) > limit;
  switch (kind) {
    case 'startLevel':
      return beyond(measures?.startLevelDb, START_LIMITS.levelDb);
    case 'startBreath':
      return beyond(measures?.startBreathDb, START_LIMITS.breathDb);
    case 'startColour':
      return beyond(measures?.startColourPercent, START_LIMITS.colourPercent);
    default:
      return beyond(measures?.startCents, START_LIMITS.cents);
  }
}
