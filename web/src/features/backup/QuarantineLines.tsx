import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton, downloadFile, UndoBar } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import type { BackupViewProps } from './backupProps.ts';

/** Rows that could not be read: what is wrong with each, as a file, or forgotten. */
export function QuarantineLines(props: BackupViewProps) {
  const { quarantine, forgotten, onForgetQuarantined, onKeepQuarantined, onPutBack } = props;
  const { t } = useTranslation();
  return (
    <>
      {forgotten && (
        <UndoBar
          key={forgotten.id}
          text={t('keeping.quarantineGone', { table: forgotten.table })}
          onUndo={onKeepQuarantined}
        />
      )}
      {quarantine.length > 0 && (
        <Box maxW="prose" mb="3">
          {t('keeping.quarantineHow')}
        </Box>
      )}
      {quarantine.map((row) => (
        <Flex key={row.id} gap="4" wrap="wrap" alignItems="baseline" mb="2">
          <Box flex="1" minW="column" wordBreak="break-word">
            {t('keeping.quarantineRow', {
              table: row.table,
              date: dateText(row.quarantinedAt, 'day'),
              why: row.why,
            })}
          </Box>
          <ActionButton
            look="plain"
            onClick={() =>
              downloadFile(
                `inner-hum-${row.table}.json`,
                new Blob([JSON.stringify(row, null, 1)]),
                'application/json',
              )
            }
          >
            {t('keeping.quarantineSave')}
          </ActionButton>
          <ActionButton look="plain" onClick={() => onPutBack(row)}>
            {t('keeping.quarantinePutBack')}
          </ActionButton>
          <ActionButton look="plain" onClick={() => onForgetQuarantined(row)}>
            {t('keeping.quarantineForget')}
          </ActionButton>
        </Flex>
      ))}
    </>
  );
}
