import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton, downloadFile, UndoBar } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import type { BackupViewProps } from './backupProps.ts';

/** Rows that could not be read: what is wrong with each, as a file, or forgotten. */
export function SetAsideLines(props: BackupViewProps) {
  const { setAside, forgotten, onForgetSetAside, onKeepSetAside } = props;
  const { t } = useTranslation();
  return (
    <>
      {forgotten && (
        <UndoBar text={t('keeping.setAsideGone', { table: forgotten.table })} onUndo={onKeepSetAside} />
      )}
      {setAside.length > 0 && (
        <Box maxW="prose" mb="3">
          {t('keeping.setAsideHow')}
        </Box>
      )}
      {setAside.map((row) => (
        <Flex key={row.id} gap="4" wrap="wrap" alignItems="baseline" mb="2">
          <Box flex="1" minW="column" wordBreak="break-word">
            {t('keeping.setAsideRow', {
              table: row.table,
              date: dateText(row.setAsideAt, 'day'),
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
            {t('keeping.setAsideSave')}
          </ActionButton>
          <ActionButton look="plain" onClick={() => onForgetSetAside(row)}>
            {t('keeping.setAsideForget')}
          </ActionButton>
        </Flex>
      ))}
    </>
  );
}
