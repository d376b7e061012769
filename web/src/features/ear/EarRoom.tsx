import { earScore, unpackNotes } from '@inner-hum/core/practice';
import { useLiveQuery } from 'dexie-react-hooks';
import { dayOf, listPractice, readSettings } from '../../storage/index.ts';
import { EarView } from './EarView.tsx';

const FIRST = '';

/** How truly the player hears pitch: calls over blind takes, and hums. */
export function Component() {
  const score = useLiveQuery(async () => {
    const { source } = await readSettings();
    const practice = await listPractice(source, FIRST, dayOf(Date.now()));
    return earScore(
      practice.flatMap(({ calls }) => calls),
      practice.flatMap(({ notes }) => unpackNotes(notes)),
    );
  });
  return score ? <EarView score={score} /> : null;
}
