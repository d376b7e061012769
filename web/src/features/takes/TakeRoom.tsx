import { useLiveQuery } from 'dexie-react-hooks';
import { useParams } from 'react-router';
import { isQuarantined, readTake } from '../../storage/index.ts';
import { OneTake } from './OneTake.tsx';
import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionLink, RoomHeading } from '../../ui/index.ts';

/** One take, read closely. Keyed by its id: nothing of another take may linger. */
export function Component() {
  const { takeId = '' } = useParams();
  const take = useLiveQuery(() => readTake(takeId), [takeId]);
  if (take === undefined) return null;
  if (take === null || take.deletedAt !== null || take.state !== 'kept') return <TakeMissing id={takeId} />;
  return <OneTake key={takeId} take={take} />;
}

/** Deleted, never here, or set apart because it could not be read: from there it can be put back. */
function TakeMissing({ id }: { id: string }) {
  const { t } = useTranslation();
  const isApart = useLiveQuery(() => isQuarantined('takes', id), [id]);
  return (
    <Box maxW="prose">
      <RoomHeading title={t('take.missing')} />
      <Box mb="5">{t(isApart ? 'take.missingApart' : 'take.missingText')}</Box>
      <Flex gap="5" wrap="wrap">
        {isApart && <ActionLink to="/case/keeping">{t('take.toApart')}</ActionLink>}
        <ActionLink to="/takes">{t('take.toList')}</ActionLink>
      </Flex>
    </Box>
  );
}
