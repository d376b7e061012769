import { unpackNotes, type Milestone, type PractisedNote } from '@inner-hum/core/practice';
import { parseISO, startOfDay, subYears } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import {
  dayOf,
  listAllMouthpieces,
  listPractice,
  listReeds,
  playedDayBeside,
  readDayNote,
  readSettings,
  takesOfDay,
  type DayNoteRecord,
  type PracticeDayRecord,
  type SettingsRecord,
  type TakeRecord,
} from '../../storage/index.ts';
import { reedName } from '../../notation/index.ts';
import { inkDays, type InkDay } from './inkDay.ts';
import { hornsIn, reachedSince } from './reached.ts';
import { marksOf, type Mark } from './marks.ts';

/** What was played on, on a day. */
export interface PlayedOn extends Pick<PracticeDayRecord, 'hornId' | 'playedSeconds'> {
  key: string;
  mouthpiece: string;
  reed: string;
}

export interface LoggedDay {
  settings: SettingsRecord;
  day: string;
  note: DayNoteRecord;
  /** Newest first. */
  takes: TakeRecord[];
  ink: InkDay | null;
  notes: PractisedNote[];
  playedOn: PlayedOn[];
  marks: Mark[];
  milestones: Milestone[];
  /** The days on which something was played before and after it; null where there is none. */
  before: string | null;
  after: string | null;
}

/** One day of the logbook; null while it is read. */
export function useDay(day: string): LoggedDay | null {
  return (
    useLiveQuery(async (): Promise<LoggedDay> => {
      const settings = await readSettings();
      const { source } = settings;
      const yearBefore = dayOf(subYears(parseISO(day), 1));
      const all = await listPractice(source, yearBefore, day);
      const own = all.filter((each) => each.day === day);
      const horns = hornsIn(own);
      const mouthpieces = await listAllMouthpieces();
      const reeds = (await Promise.all(horns.map((hornId) => listReeds(hornId)))).flat();
      const marks = (await Promise.all(horns.map((hornId) => marksOf(hornId, all)))).flat();
      const from = startOfDay(parseISO(day)).getTime();
      return {
        settings,
        day,
        note: await readDayNote(day),
        takes: await takesOfDay(day, source),
        ink: inkDays(own).get(day) ?? null,
        notes: own.flatMap(unpackNotes),
        playedOn: own.map(({ id, hornId, playedSeconds, mouthpieceId, reedId, reedKind }) => {
          const reed = reeds.find((each) => each.id === reedId);
          return {
            key: id,
            hornId,
            playedSeconds,
            mouthpiece: mouthpieces.find((each) => each.id === mouthpieceId)?.name ?? '',
            reed: reed ? reedName(reed) : reedKind,
          };
        }),
        marks: marks.filter((mark) => mark.day === day),
        milestones: reachedSince(
          all.filter(({ hornId }) => horns.includes(hornId)),
          from,
        ),
        before: await playedDayBeside(day, 'before'),
        after: await playedDayBeside(day, 'after'),
      };
    }, [day]) ?? null
  );
}
