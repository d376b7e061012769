import { readShift } from '@inner-hum/core/exercise';
import { Box } from '@chakra-ui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { saveExercises } from '../../files/index.ts';
import {
  addOwnExercise,
  deleteOwnExercise,
  readOwnExercise,
  readSettings,
  type OwnExercise,
  type SettingsRecord,
} from '../../storage/index.ts';
import { exerciseName } from '../../notation/index.ts';
import { ActionLink, RoomHeading } from '../../ui/index.ts';
import { BuilderView } from './BuilderView.tsx';
import { useDraft } from './useDraft.ts';

/** An exercise of one's own, being written. */
export function Component() {
  const { exerciseId = '' } = useParams();
  return <BuilderOf key={exerciseId} id={exerciseId} />;
}

function BuilderOf({ id }: { id: string }) {
  const { t } = useTranslation();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(() => readOwnExercise(id), [id]);
  if (!settings || own === undefined) return null;
  if (own === null)
    return (
      <Box maxW="prose">
        <RoomHeading title={t('builder.missing')} />
        <Box mb="4">{t('builder.missingText')}</Box>
        <ActionLink to="/shelf">{t('shelf.back')}</ActionLink>
      </Box>
    );
  return <Builder own={own} settings={settings} />;
}

function Builder({ own, settings }: { own: OwnExercise; settings: SettingsRecord }) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const draft = useDraft(own);
  const { id } = own;
  const name = exerciseName(draft.exercise, t);
  return (
    <BuilderView
      draft={draft}
      horn={playersHorn(settings)}
      naming={settings.naming}
      a4Hz={settings.a4Hz}
      shift={readShift(draft.exercise, settings.hornId)}
      playAddress={`/stand/own/${id}`}
      tryAddress={`/stand/own/${id}?by=standIn`}
      sheetAddress={`/shelf/sheet?of=own.${id}`}
      giveAddress={`/task/new?of=own.${id}`}
      onCopy={() =>
        void addOwnExercise({ ...draft.exercise, name: t('builder.copyName', { name }) }, Date.now()).then(
          (copy) => navigate(`/shelf/own/${copy}`),
        )
      }
      onExport={() => saveExercises([draft.exercise])}
      onDelete={() =>
        void deleteOwnExercise(id, Date.now()).then(() =>
          navigate('/shelf', { state: { deleted: { id, name } } }),
        )
      }
    />
  );
}
