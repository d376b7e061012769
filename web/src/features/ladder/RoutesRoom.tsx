import { MAJOR_KEYS, type MajorKey } from '@inner-hum/core/exercise';
import { useLiveQuery } from 'dexie-react-hooks';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { useRungTries } from '../../listing/index.ts';
import { addOwnExercise, listOwnExercises, readSettings } from '../../storage/index.ts';
import { exerciseName, signedKey } from '../../notation/index.ts';
import { currentSearch, useSearch } from '../../ui/index.ts';
import { LINE_MODES, noteWithoutRoute, pinsWord, readPins, routedLine, type LineMode } from './routedLine.ts';
import { RoutesView } from './RoutesView.tsx';

/** A scale, or an exercise of one's own, through the fingerings likeliest to speak for this player. */
export function Component() {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(listOwnExercises);
  const tries = useRungTries(settings);
  if (!settings || !own || !tries) return null;
  const horn = playersHorn(settings);
  const key: MajorKey = MAJOR_KEYS.find((each) => each === search.get('key')) ?? 'Bb';
  const mode: LineMode = LINE_MODES.find((each) => each === search.get('mode')) ?? 'overtones';
  const ownId = search.get('own');
  const line = own.find(({ id }) => id === ownId)?.exercise ?? null;
  const pinned = readPins(search.get('pins') ?? '');
  const isOneOctave = search.get('octaves') === 'one';
  const request = { horn, key, line, mode, tries, pinned, isOneOctave };
  const routed = routedLine(request);
  const set = (change: Record<string, string>) => {
    const next = new URLSearchParams({ ...Object.fromEntries(currentSearch()), ...change });
    for (const [name, value] of [...next]) if (value === '') next.delete(name);
    ask(next);
  };
  const keep = (to: (id: string) => string) => {
    if (!routed) return;
    const what = line ? exerciseName(line, t) : t('routes.scale', { key: signedKey(key) });
    const name = t('routes.name', { what, mode: t(`chosen.${mode}`) });
    void addOwnExercise({ ...routed, name }, Date.now()).then((id) => navigate(to(id)));
  };
  return (
    <RoutesView
      horn={horn}
      settings={settings}
      own={own}
      tries={tries}
      chosen={{ key, mode, ownId: line ? ownId : null, isOneOctave }}
      pinned={pinned}
      onPin={(note, fingered) => {
        const next = new Map(pinned);
        if (fingered === null) next.delete(note);
        else next.set(note, fingered);
        set({ pins: pinsWord(next) });
      }}
      routed={routed}
      lacking={routed ? null : noteWithoutRoute(request)}
      onChange={set}
      onPlay={() => keep((id) => `/stand/own/${id}`)}
      onPrint={() => keep((id) => `/shelf/sheet?of=own.${id}`)}
    />
  );
}
