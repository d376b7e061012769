import { goalProgress, unpackNotes, type GoalProgress } from '@inner-hum/core/practice';
import { subYears } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import {
  dayOf,
  listAims,
  listPractice,
  readSettings,
  type AimRecord,
  type SettingsRecord,
} from '../../storage/index.ts';

export interface AimProgress {
  aim: AimRecord;
  progress: GoalProgress;
}

export interface Aims {
  settings: SettingsRecord;
  aims: AimProgress[];
}

/** The aims on the horn that is played, with how far each is; null while it is read. `now`: when the room was entered, in ms. */
export function useAims(now: number): Aims | null {
  return (
    useLiveQuery(async () => {
      const settings = await readSettings();
      const { hornId, source } = settings;
      const from = dayOf(subYears(now, 1));
      const practice = await listPractice(source, from, dayOf(now));
      const notes = practice.filter((each) => each.hornId === hornId).flatMap(unpackNotes);
      const aims = await listAims(hornId);
      return { settings, aims: aims.map((aim) => ({ aim, progress: goalProgress(notes, aim.goal) })) };
    }, [now]) ?? null
  );
}
