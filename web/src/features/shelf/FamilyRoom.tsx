import { familyById, type Choices, type Family } from '@inner-hum/core/exercise';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { askedDrill, drillAddress, playersHorn, readDrill, shelfAddress } from '../../addresses/index.ts';
import { addOwnExercise, lastTakes, readSettings, toggleFavourite } from '../../storage/index.ts';
import { familyName } from '../../notation/index.ts';
import { CHOSEN, currentSearch, NothingHere } from '../../ui/index.ts';
import { useSoftestMarks } from './useSoftestMarks.ts';
import { FamilyView } from './FamilyView.tsx';

/** One family read closely: all its choices, its music, and from here to the Stand, to paper or to a copy of one's own. */
export function Component() {
  const { familyId = '' } = useParams();
  const family = familyById(familyId);
  return family ? <FamilyOf family={family} /> : <NothingHere />;
}

function FamilyOf({ family }: { family: Family }) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const settings = useLiveQuery(readSettings);
  const last = useLiveQuery(lastTakes);
  const softestMarks = useSoftestMarks();
  const horn = settings && playersHorn(settings);
  const read = useMemo(() => {
    const options = horn && family.options(horn);
    if (!horn || !options) return null;
    const choices = readDrill(search, family, horn);
    return { options, choices, exercise: family.build(horn, choices) };
  }, [search, family, horn]);
  if (!settings || !horn) return null;
  const choices = read?.choices ?? {};
  const { favourites } = settings;
  const of = `of=${encodeURIComponent(askedDrill(family, horn, choices))}`;
  return (
    <FamilyView
      family={family}
      horn={horn}
      read={read}
      settings={settings}
      last={last?.get(family.id) ?? null}
      isStarred={favourites.includes(family.id)}
      playAddress={drillAddress(family, horn, choices)}
      sheetAddress={`/shelf/sheet?${of}`}
      giveAddress={`/task/new?${of}`}
      onChange={(change: Choices) => {
        const standing = readDrill(currentSearch(), family, horn);
        void navigate(shelfAddress(family, horn, { ...standing, ...change }), CHOSEN);
      }}
      softestMarks={softestMarks}
      onStar={() => void toggleFavourite(family.id)}
      onCopy={() => {
        if (!read) return;
        const copy = { ...read.exercise, name: familyName(family.id, t) };
        void addOwnExercise(copy, Date.now()).then((id) => navigate(`/shelf/own/${id}`));
      }}
    />
  );
}
