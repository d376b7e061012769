import { useLiveQuery } from 'dexie-react-hooks';
import { useParams } from 'react-router';
import { readTake } from '../../storage/index.ts';
import { OneTake } from './OneTake.tsx';
import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionLink, RoomHeading } from '../../ui/index.ts';

/** One take, read closely. Keyed by its id: nothing of another take may linger. */
export function Component() {
  const { takeId = '' } = useParams();
  const take = useLiveQuery(() => readTake(takeId), [takeId]);
  if (take === undefined) return null;
  if (take === null || take.deletedAt !== null || take.state !== 'kept') return <TakeMissing />;
  return <OneTake key={takeId} take={take} />;
}

function TakeMissing() {
  const { t } = useTranslation();
  return (
    <Box maxW="prose">
      <RoomHeading title={t('take.missing')} />
      <Box mb="5">{t('take.missingText')}</Box>
      <ActionLink to="/takes">{t('take.toList')}</ActionLink>
    </Box>
  );
}
