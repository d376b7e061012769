import { softsWord } from '@inner-hum/core/exercise';
import { softestMarks, unpackNotes } from '@inner-hum/core/practice';
import { subDays } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useSetup } from '../../session/index.ts';
import { dayOf, listPractice } from '../../storage/index.ts';

/** Practice of so many days is read; how many of them count is said where the marks are made. */
const DAYS = 30;

/** The softest mark of each note that this player lately reached on this horn, as one word; empty where nothing is known. */
export function useSoftestMarks(): string {
  const setup = useSetup();
  return (
    useLiveQuery(async () => {
      if (!setup) return '';
      const now = Date.now();
      const { source, hornId } = setup.settings;
      const days = await listPractice(source, dayOf(subDays(now, DAYS)), dayOf(now));
      const notes = days.filter((day) => day.hornId === hornId).flatMap(unpackNotes);
      return softsWord(softestMarks(notes, setup.scale, now));
    }, [setup]) ?? ''
  );
}
