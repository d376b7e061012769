import { nearestMark } from '@inner-hum/core/exercise';
import { columnValue, FRAME_SECONDS } from '@inner-hum/core/hearing';
import type { NoteNaming } from '@inner-hum/core/horn';
import { median } from '@inner-hum/core/stats';
import type { TFunction } from 'i18next';
import type { TakeRecord } from '../storage/index.ts';
import { centsText, noteText } from '../notation/index.ts';
import { decimals } from '../words/index.ts';
import type { TakeDrawing } from './takeInk.ts';
import { takeName } from './takeTitle.tsx';

/** As long as an ear needs to name a pitch; less in a tone that is hardly longer. */
const MOMENT_SECONDS = 0.3;
const LEAST_MOMENTS = 10;

interface Moment {
  seconds: number;
  cents: number;
  levelDb: number;
}

/** What sounds in a stretch of the take, by its medians; null where less than half of it sounds. Seconds on the take's clock. */
function momentOf({ ink, track }: TakeDrawing, fromSeconds: number, toSeconds: number): Moment | null {
  const from = Math.max(0, Math.round(fromSeconds / FRAME_SECONDS));
  const to = Math.min(ink.count, Math.round(toSeconds / FRAME_SECONDS));
  const cents: number[] = [];
  const levels: number[] = [];
  for (let i = from; i < to; i++) {
    if (columnValue(track.columns.f0Hz, i) === null || Number.isNaN(ink.cents[i])) continue;
    cents.push(ink.cents[i]);
    levels.push(track.columns.levelDb[i]);
  }
  const middle = { cents: median(cents), levelDb: median(levels) };
  if (middle.cents === null || middle.levelDb === null || cents.length < (to - from) / 2) return null;
  return { seconds: (fromSeconds + toSeconds) / 2, cents: middle.cents, levelDb: middle.levelDb };
}

/** The first, the loudest or softest, and the last moment of a tone: what a swell turns on. */
function turnsOf(drawing: TakeDrawing, fromSeconds: number, toSeconds: number): Moment[] {
  const moments: Moment[] = [];
  const step = Math.min(MOMENT_SECONDS, (toSeconds - fromSeconds) / LEAST_MOMENTS);
  for (let at = fromSeconds; at + step <= toSeconds; at += step) {
    const moment = momentOf(drawing, at, at + step);
    if (moment) moments.push(moment);
  }
  if (moments.length < 3) return moments;
  const first = moments[0];
  const last = moments[moments.length - 1];
  const away = ({ levelDb }: Moment) => Math.abs(levelDb - (first.levelDb + last.levelDb) / 2);
  const turn = moments.slice(1, -1).reduce((most, moment) => (away(moment) > away(most) ? moment : most));
  return [first, turn, last];
}

/** A whole take in one paragraph, for whoever does not see its ribbon. */
export function describeTake(
  take: TakeRecord,
  drawing: TakeDrawing,
  headline: string,
  naming: NoteNaming,
  t: TFunction,
): string {
  const { analysis } = take;
  const mark = ({ levelDb }: Moment) => nearestMark(levelDb, take.scale);
  const said = (moment: Moment) => ({ pitch: centsText(moment.cents, t), mark: mark(moment) });
  const name = t('told.frame', {
    what: takeName(take, naming, t),
    seconds: decimals(drawing.toSeconds - drawing.fromSeconds, 1),
  });
  const verdict = headline ? [headline] : [];
  const notes = analysis?.items.filter((item) => item.kind === 'note') ?? [];
  if (notes.length > 1) {
    const each = notes.flatMap((item) => {
      if (item.startSeconds === null || item.endSeconds === null) return [];
      const moment = momentOf(drawing, item.startSeconds, item.endSeconds);
      return moment ? [t('told.note', { note: noteText(item.writtenMidi, naming), ...said(moment) })] : [];
    });
    return [name, ...each, ...verdict].join(' ');
  }
  const turns = turnsOf(drawing, drawing.fromSeconds, drawing.toSeconds);
  const first = turns.at(0);
  const last = turns.at(-1);
  if (!first || !last) return [name, t('told.nothing'), ...verdict].join(' ');
  const zero = first.seconds;
  const between = turns
    .slice(1, -1)
    .map((turn) => t('told.passed', { ...said(turn), seconds: decimals(turn.seconds - zero, 1) }));
  return [
    name,
    [t('told.began', said(first)), ...between, t('told.ended', said(last))].join(', '),
    ...verdict,
  ].join(' ');
}
