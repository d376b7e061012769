import { isValid, parseISO } from 'date-fns';
import { Navigate, useParams } from 'react-router';
import { writeDayNote } from '../../storage/index.ts';
import { DayView } from './DayView.tsx';
import { useDay } from './useDay.ts';

/** One day of the logbook. */
export function Component() {
  const { day = '' } = useParams();
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || !isValid(parseISO(day))) return <Navigate to="/logbook" replace />;
  return <DayOf key={day} day={day} />;
}

function DayOf({ day }: { day: string }) {
  const logged = useDay(day);
  if (!logged) return null;
  return <DayView logged={logged} onWrite={(change) => void writeDayNote(day, change)} />;
}
