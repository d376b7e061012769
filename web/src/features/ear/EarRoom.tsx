import { earScore, unpackNotes } from '@inner-hum/core/practice';
import { subYears } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { dayOf, listPractice, readSettings } from '../../storage/index.ts';
import { EarView } from './EarView.tsx';

/** An ear of longer ago was another one. */
const LOOKS_BACK_YEARS = 2;

/** How truly the player hears pitch: calls over blind takes, and hums. */
export function Component() {
  const score = useLiveQuery(async () => {
    const { source } = await readSettings();
    const practice = await listPractice(
      source,
      dayOf(subYears(Date.now(), LOOKS_BACK_YEARS)),
      dayOf(Date.now()),
    );
    return earScore(
      practice.flatMap(({ calls }) => calls),
      practice.flatMap(unpackNotes),
    );
  });
  return score ? <EarView score={score} /> : null;
}
