import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { LOW_BYTES } from '../../housekeeping/index.ts';
import { ActionButton } from '../../ui/index.ts';
import { bytesText } from './bytesText.ts';
import type { BackupViewProps } from './backupProps.ts';

/** How much is stored here, what is left, and whether the browser has promised to keep it. */
export function RoomLine({ roomLeft, perMinute, onAskToKeep }: BackupViewProps) {
  const { t } = useTranslation();
  if (!roomLeft) return <Box minH="9" />;
  const { usedBytes, isRoomy, persisted } = roomLeft;
  return (
    <Box maxW="prose" pb="5">
      <Box>
        {t('keeping.used', { used: bytesText(usedBytes) })}{' '}
        {isRoomy && t('keeping.left', { left: bytesText(LOW_BYTES) })}{' '}
        {perMinute !== null && t('keeping.perMinute', { bytes: bytesText(perMinute) })}
      </Box>
      {isRoomy === false && <Box mt="2">{t('keeping.low', { left: bytesText(LOW_BYTES) })}</Box>}
      <Box mt="2">
        {persisted ? t('keeping.persisted') : t('keeping.notPersisted')}{' '}
        {persisted === false && (
          <ActionButton look="plain" onClick={onAskToKeep}>
            {t('keeping.ask')}
          </ActionButton>
        )}
      </Box>
    </Box>
  );
}
