import type { Exercise } from '@inner-hum/core/exercise';
import {
  headlineOf,
  SAME_CENTS,
  wordingOf,
  type Fault,
  type Headline,
  type NamedNote,
  type Past,
  type PlayedTake,
  type Statement,
} from '@inner-hum/core/headline';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { decimals, signed } from '../words/index.ts';
import { findingText, putFigure, tens, type Put } from './findingText.ts';
import { intervalName } from './intervalName.ts';
import { namedNoteText } from './namedNoteText.ts';

/** A statement's figures as they stand in its sentence; what is named is named in the player's language. */
function putOf(statement: Statement, naming: NoteNaming, t: TFunction): Put {
  const put: Put = {};
  for (const [name, value] of Object.entries(statement) as [string, unknown][]) {
    if (name === 'kind' || name === 'digits') continue;
    if (typeof value === 'object' && value !== null && 'writtenMidi' in value)
      put[name] = namedNoteText(value as NamedNote, naming, t);
    else if (typeof value === 'string') put[name] = value;
    else if (typeof value === 'number') Object.assign(put, putFigure(name, value) ?? { [name]: value });
  }
  switch (statement.kind) {
    case 'held':
      put.cause = t(`headline.cause.${statement.cause}`);
      break;
    case 'slurred':
      put.way = t(`headline.way.${statement.way}`);
      break;
    case 'interval':
      put.interval = intervalName(statement.halfSteps, t);
      break;
    case 'startDiffers': {
      const { db, percent, airDb, cents } = statement;
      const side = (below: string, above: string, value: number, count = 0) =>
        t(`headline.start.${value < 0 ? below : above}` as 'headline.start.darker', { count });
      const whole = (value: number) => Math.round(Math.abs(value));
      put.list = [
        ...(db === null ? [] : [side('softer', 'louder', db, whole(db))]),
        ...(airDb === null ? [] : [side('clearer', 'airier', airDb)]),
        ...(percent === null ? [] : [side('darker', 'brighter', percent)]),
        ...(cents === null ? [] : [side('flatter', 'sharper', cents, whole(cents))]),
      ].join(', ');
      break;
    }
    case 'responses':
      put.list = statement.list.map((ms) => tens(ms)).join(', ');
      break;
    case 'spoke':
      put.list = statement.list
        .map(({ note, times, cents }) => {
          const often = times > 1 ? ` ×${times}` : '';
          const off = Math.abs(cents) < SAME_CENTS ? '' : ` (${signed(cents)})`;
          return namedNoteText(note, naming, t) + often + off;
        })
        .join(', ');
      break;
    case 'jumped':
      put.list = statement.list.map((note) => namedNoteText(note, naming, t)).join(', ');
      break;
    case 'vowels':
      put.count = Math.round(statement.withinCents);
      break;
    case 'steady':
      if (Math.abs(statement.cents) < SAME_CENTS) put.count = Math.round(statement.withinCents);
      break;
    case 'line':
      put.notes = statement.count;
      put.count = statement.outstanding === 0 ? statement.count : statement.outstanding;
      break;
    case 'lastTime':
    case 'best':
      put.figure = decimals(statement.figure, statement.digits);
      break;
  }
  return put;
}

const statementText = (statement: Statement, naming: NoteNaming, t: TFunction): string =>
  t(`headline.${wordingOf(statement)}` as 'headline.even', putOf(statement, naming, t));

function faultText({ note, item, word, finding, places }: Fault, naming: NoteNaming, t: TFunction): string {
  // What is hummed is said to be.
  if (item === 'hum' && finding.kind === 'hum') return findingText(finding, naming, t);
  const name =
    word ??
    (note && item === 'note' ? namedNoteText(note, naming, t) : t(`item.${item === 'rest' ? 'hold' : item}`));
  const told = t('verdict.of', { name, finding: findingText(finding, naming, t) });
  return places > 1 ? `${t('headline.fault', { told: told.replace(/\.$/, ''), count: places })}.` : told;
}

/** A headline as one line of text: what answers the question, then what stands out besides. */
export function headlineSentence({ statements, faults }: Headline, naming: NoteNaming, t: TFunction): string {
  const answer = statements.map((statement) => statementText(statement, naming, t)).join('; ');
  const first = answer.charAt(0).toLocaleUpperCase() + answer.slice(1);
  return [...(answer ? [`${first}.`] : []), ...faults.map((fault) => faultText(fault, naming, t))].join(' ');
}

/** What is judged of a take, as its headline reads it. */
export type JudgedTake = Pick<PlayedTake, 'hornId' | 'scale' | 'isAfter'> & {
  context: { exercise: Exercise } | null;
  analysis: PlayedTake['analysis'] | null;
};

export const playedOf = ({ context, analysis, hornId, scale, isAfter }: JudgedTake): PlayedTake[] =>
  context && analysis
    ? [{ exercise: context.exercise, analysis, hornId, scale, ...(isAfter && { isAfter }) }]
    : [];

/** The answer of a take, or of the takes of a round, in words; '' where nothing was judged. */
export const headlineText = (
  takes: readonly JudgedTake[],
  past: Past,
  naming: NoteNaming,
  t: TFunction,
): string => headlineSentence(headlineOf(takes.flatMap(playedOf), past), naming, t);
