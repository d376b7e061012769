import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton, DateField } from '../../ui/index.ts';
import { bytesText } from './bytesText.ts';
import type { BackupViewProps } from './backupProps.ts';

/** Room by letting the sound of old takes go; what was measured and written stays. */
export function FreeSpaceForm({
  letGoBefore,
  toLetGo,
  perMinute,
  span,
  busy,
  onLetGoBefore,
  onLetGo,
}: BackupViewProps) {
  const { t } = useTranslation();
  const bytes = toLetGo && perMinute !== null ? (perMinute * toLetGo.seconds) / 60 : null;
  return (
    <>
      <Box maxW="prose" mb="3">
        {t('keeping.letGoHow')}
      </Box>
      <Flex gap="5" wrap="wrap" alignItems="flex-end">
        <DateField
          label={t('keeping.before')}
          value={letGoBefore}
          {...(span && { latest: span.last })}
          onChange={onLetGoBefore}
        />
        {toLetGo && (
          <ActionButton disabled={busy !== null || toLetGo.takeIds.length === 0} onClick={onLetGo}>
            {t('keeping.letGoNow', { count: toLetGo.takeIds.length })}
            {bytes !== null && bytes > 0 && ` (${bytesText(bytes)})`}
          </ActionButton>
        )}
      </Flex>
      {toLetGo && toLetGo.takeIds.length > 0 && (
        <Box mt="2" color="muted">
          {t('keeping.letGoWarning')}
        </Box>
      )}
    </>
  );
}
