import { Box, Flex, Heading } from '@chakra-ui/react';
import { format, isSameDay } from 'date-fns';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { ActionButton, ActionLink, RoomHeading } from '../../ui/index.ts';
import type { TakeRecord } from '../../storage/index.ts';
import { TakeRow } from './TakeRow.tsx';

interface TakesViewProps {
  takes: readonly TakeRecord[];
  naming: NoteNaming;
  deletedId: string | null;
  onUndo(takeId: string): void;
}

export function TakesView({ takes, naming, deletedId, onUndo }: TakesViewProps) {
  const { t } = useTranslation();
  return (
    <Box maxW="page">
      <RoomHeading title={t('takes.title')} aside={t('takes.count', { count: takes.length })} />
      {deletedId && (
        <Flex role="status" alignItems="center" gap="4" mb="4" bg="cane" px="4" py="1">
          {t('takes.deleted')}
          <ActionButton look="plain" onClick={() => onUndo(deletedId)}>
            {t('takes.undo')}
          </ActionButton>
        </Flex>
      )}
      {takes.length === 0 && (
        <Box maxW="prose">
          <Box mb="5">{t('takes.empty')}</Box>
          <ActionLink look="main" to="/stand/swell">
            {t('free.swell')}
          </ActionLink>
        </Box>
      )}
      {takes.map((take, i) => (
        <Box key={take.id}>
          {(i === 0 || !isSameDay(take.startedAt, takes[i - 1].startedAt)) && (
            <Heading as="h2" fontSize="normal" fontFamily="body" fontWeight="700" pt="4" pb="2">
              {format(take.startedAt, 'EEEE d MMMM')}
            </Heading>
          )}
          <TakeRow take={take} naming={naming} />
        </Box>
      ))}
    </Box>
  );
}
