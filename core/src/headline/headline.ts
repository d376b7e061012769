import { familyOf, shapeOf, type Exercise, type HeadlineId } from '../exercise/index.ts';
import { isNeutral, rankFindings, type Finding } from '../judge/index.ts';
import type { Answers } from './answer.ts';
import { humAnswer, intervalAnswer } from './ear.ts';
import { alternationAnswer, spokeAnswer } from './fingerings.ts';
import { hearingAnswer } from './hearing.ts';
import { beatsAnswer, holdAnswer, ladderHoldsAnswer, zonesAnswer } from './holds.ts';
import { compareAnswer, lineAnswer, steadyAnswer } from './lines.ts';
import { matchAnswer } from './matches.ts';
import { hitsAnswer, slursAnswer } from './partials.ts';
import { itemsOf, nameOf, notesIn, type PlayedTake } from './played.ts';
import { bestRecord, comparedWith, type Past } from './record.ts';
import { caughtAnswer, lipsAnswer, restartsAnswer } from './starts.ts';
import { everyNoteAnswer } from './sorted.ts';
import type { NamedNote, Statement } from './statement.ts';
import { descentAnswer, swellAnswer, swellsAnswer } from './swells.ts';
import { bendAnswer, subtoneAnswer, vibratoAnswer, voicedAnswer, vowelsAnswer } from './tones.ts';
import { subtoneLineAnswer, twoWaysAnswer } from './ways.ts';

/** What stands out and is not said by the answer. */
export interface Fault {
  /** Null where it is of no note. */
  note: NamedNote | null;
  /** The kind of the item, where it is no note. */
  item: 'note' | 'rest' | 'air' | 'hum';
  /** What the item is called in the drill, as a side of a comparison; absent: by its note or kind. */
  word?: string;
  finding: Finding;
  /** In so many places. */
  places: number;
}

/** The answer to a drill's question, and what stands out besides; one of them is always there where anything was heard. */
export interface Headline {
  statements: Statement[];
  faults: Fault[];
}

const ANSWERS: Record<HeadlineId, Answers> = {
  alternation: alternationAnswer,
  beats: beatsAnswer,
  bend: bendAnswer,
  caught: caughtAnswer,
  compare: compareAnswer,
  descent: descentAnswer,
  everyNote: everyNoteAnswer,
  hearing: hearingAnswer,
  hits: hitsAnswer,
  hold: holdAnswer,
  hum: humAnswer,
  interval: intervalAnswer,
  ladderHolds: ladderHoldsAnswer,
  line: lineAnswer,
  lips: lipsAnswer,
  match: matchAnswer,
  restarts: restartsAnswer,
  slurs: slursAnswer,
  spoke: spokeAnswer,
  steady: steadyAnswer,
  subtone: subtoneAnswer,
  subtoneLine: subtoneLineAnswer,
  swell: swellAnswer,
  swells: swellsAnswer,
  twoWays: twoWaysAnswer,
  vibrato: vibratoAnswer,
  voiced: voicedAnswer,
  vowels: vowelsAnswer,
  zones: zonesAnswer,
};

/** So many notes that stand out are named. */
const NAMED: Partial<Record<HeadlineId, number>> = { everyNote: 2, line: 2, steady: 2 };

/** Which question an exercise of nobody's family is asked: by what is written in it. */
function questionOf(takes: readonly PlayedTake[]): HeadlineId {
  const notes = notesIn(takes).map(({ written }) => written);
  const any = (has: (note: (typeof notes)[number]) => boolean) => notes.some(has);
  if (notes.length === 0) return 'lips';
  if (notes.every(({ open }) => open)) return 'hold';
  if (any(({ tone }) => tone === 'subtone')) return 'subtone';
  if (any(({ bend }) => bend !== undefined)) return 'bend';
  if (any(({ vibrato }) => vibrato !== undefined && vibrato !== 'off')) return 'vibrato';
  if (takes[0]?.exercise.start === 'ownTime' && notes.length > 1) return 'slurs';
  if (any((note) => shapeOf(note) !== 'steady')) return notes.length > 1 ? 'swells' : 'swell';
  return notes.length > 1 ? 'line' : 'steady';
}

/** The question that an exercise is asked; an own one, or one of a family that is not known, by what is written in it. */
const headlineIdOf = (exercise: Pick<Exercise, 'family'>, takes: readonly PlayedTake[]): HeadlineId =>
  familyOf(exercise)?.headline ?? questionOf(takes);

const weightOf = (finding: Finding) => rankFindings([finding], null).at(0)?.weight ?? 0;

/** What stands out in takes: of each item the weightiest, what recurs before what is worst once; without what is said already. */
function faultsOf(takes: readonly PlayedTake[], tells: readonly Finding['kind'][]): Fault[] {
  const found = itemsOf(takes).flatMap(({ written, heard }) => {
    const [finding] = rankFindings(heard.verdict?.findings ?? [], null)
      .map((each) => each.finding)
      .filter((each) => !isNeutral(each) && !tells.includes(each.kind));
    return finding ? [{ written, heard, finding }] : [];
  });
  const places = (kind: Finding['kind']) => found.filter(({ finding }) => finding.kind === kind).length;
  const isRound = takes.length > 1;
  return found
    .map(({ written, heard, finding }): Fault => ({
      note:
        written.kind === 'note'
          ? nameOf(written)
          : 'writtenMidi' in written
            ? { writtenMidi: written.writtenMidi, fingered: null }
            : null,
      ...(written.kind === 'air' && written.words?.[0] && { word: written.words[0].text }),
      item: heard.kind === 'rest' || heard.kind === 'air' || heard.kind === 'hum' ? heard.kind : 'note',
      finding,
      places: places(finding.kind),
    }))
    .toSorted((a, b) => (isRound ? b.places - a.places : 0) || weightOf(b.finding) - weightOf(a.finding));
}

/** So many of them: each note by its own sentence where all of them fit, else one of a kind with the places it recurs in. */
function named(faults: readonly Fault[], most: number): Fault[] {
  if (faults.length <= most) return faults.map((fault) => ({ ...fault, places: 1 }));
  return faults
    .filter(({ finding }, i) => faults.findIndex((other) => other.finding.kind === finding.kind) === i)
    .slice(0, most);
}

/**
 * The answer of one take, or of the takes of a round, to what its drill is asked: what answers it, compared with what was played before
 * (`past`: of its record), then what else stands out. Where nothing answers it and nothing stands out, how its notes were held.
 */
export function headlineOf(takes: readonly PlayedTake[], past: Past = []): Headline {
  if (takes.length === 0) return { statements: [], faults: [] };
  const id = headlineIdOf(takes[0].exercise, takes);
  const answer = ANSWERS[id](takes);
  const most = NAMED[id] ?? 1;
  const statements = [...answer.statements];
  const best = answer.statements.length > 0 ? bestRecord(takes) : null;
  if (best) statements.push(...comparedWith(best.take, best.record, past));
  const faults = named(faultsOf(takes, answer.statements.length > 0 ? answer.tells : []), most);
  const processing = takes.find(({ analysis }) => analysis.processing)?.analysis.processing;
  if (processing) statements.push({ kind: 'levelNotJudged', processing });
  if (statements.length > 0 || faults.length > 0) return { statements, faults };
  const plain = steadyAnswer(takes).statements;
  return { statements: plain.length > 0 ? plain : [{ kind: 'notJudged' }], faults };
}
