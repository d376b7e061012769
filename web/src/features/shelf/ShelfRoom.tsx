import { newExercise, type Exercise } from '@inner-hum/core/exercise';
import type { ReadScore } from '@inner-hum/core/scores';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { exercisesFile, saveExercises, useGivenFiles } from '../../files/index.ts';
import {
  addOwnExercise,
  lastTakes,
  listOwnExercises,
  readSettings,
  toggleFavourite,
  undoDeleteOwnExercise,
} from '../../storage/index.ts';
import { readScoreFile } from '../../workers/index.ts';
import { useSearch } from '../../ui/index.ts';
import { importExercises, type ImportAnswered } from './importExercises.ts';
import { shelfEntries } from '../../listing/index.ts';
import { readShelfFilter, shelfSearch } from './shelfFilter.ts';
import { ShelfView } from './ShelfView.tsx';
import { useDeleted } from './useDeleted.ts';

/** A file is told by what it is: exercises of ours are JSON, everything else is a score. */
const LIKE_JSON = /^\s*[[{]/;
const HEAD_BYTES = 64;

/** What is there to practise with: every family, ready for this horn and range, and the player's own. */
export function Component() {
  const navigate = useNavigate();
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(listOwnExercises);
  const last = useLiveQuery(lastTakes);
  const [answer, setAnswer] = useState<ImportAnswered | null>(null);
  const [score, setScore] = useState<ReadScore | null>(null);
  const [scoreKey, setScoreKey] = useState(0);
  const deleted = useDeleted(own);
  useGivenFiles('exercises', ([file]) => void bringIn(file));
  const horn = settings && playersHorn(settings);
  const entries = useMemo(() => (horn && own ? shelfEntries(own, horn) : null), [own, horn]);
  if (!settings || !horn || !entries || !own) return null;
  async function bringIn(file: File) {
    setScore(null);
    if (/\.json$/i.test(file.name) || LIKE_JSON.test(await file.slice(0, HEAD_BYTES).text())) {
      const read = await importExercises(file);
      // What it holds is shown before anything is kept.
      if (read.kind === 'task') await navigate(`/task#${read.fragment}`);
      else setAnswer(read);
      return;
    }
    const opened = await readScoreFile(file);
    setAnswer(opened.kind === 'refused' ? { kind: 'refusedScore', why: opened.why } : null);
    if (opened.kind === 'read') {
      setScore(opened.score);
      setScoreKey((key) => key + 1);
    }
  }
  async function keepScore(exercise: Exercise, to: 'shelf' | 'routes') {
    const id = await addOwnExercise(exercise, Date.now());
    setScore(null);
    setAnswer({ kind: 'taken', count: 1, refused: [] });
    if (to === 'routes') await navigate(`/ladder/routes?own=${id}`);
  }
  return (
    <ShelfView
      entries={entries}
      last={last ?? new Map()}
      settings={settings}
      filter={readShelfFilter(search)}
      answer={answer}
      deletedName={deleted.name}
      hasOwn={own.length > 0}
      onFilter={(filter) => ask(shelfSearch(filter))}
      onStar={(key) => void toggleFavourite(key)}
      onNew={() =>
        void addOwnExercise(newExercise(horn), Date.now()).then((id) => navigate(`/shelf/own/${id}`))
      }
      score={score}
      scoreKey={scoreKey}
      horn={horn}
      onKeepScore={(exercise, to) => void keepScore(exercise, to)}
      onLeaveScore={() => setScore(null)}
      onImport={(file) => void bringIn(file)}
      onExport={() => saveExercises(own.map(({ exercise }) => exercise))}
      toShare={() => exercisesFile(own.map(({ exercise }) => exercise))}
      onUndo={() => {
        if (deleted.id) void undoDeleteOwnExercise(deleted.id);
        deleted.forget();
      }}
    />
  );
}
