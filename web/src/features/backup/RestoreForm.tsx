import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { hasBooks } from '../../books/index.ts';
import { isWhole } from '../../storage/index.ts';
import { ActionButton, FileButton } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import type { BackupViewProps } from './backupProps.ts';

/** Archives back: first what they hold, then into what is here, or instead of it. */
export function RestoreForm({ looked, busy, onLook, onBack, onOwnBook, onForgetLooked }: BackupViewProps) {
  const { t } = useTranslation();
  const mayReplace =
    looked?.archives.length === 1 &&
    looked.archives.every(({ manifest, cutShort }) => isWhole(manifest.choice) && !cutShort);
  return (
    <>
      <Box maxW="prose" mb="3">
        {t('keeping.backHow')}
      </Box>
      {!looked && (
        <FileButton accept=".zip,application/zip" multiple onFiles={onLook}>
          {t('keeping.chooseArchive')}
        </FileButton>
      )}
      {looked && (
        <>
          <Box as="ul" mb="3">
            {looked.archives.map(({ file, manifest, cutShort }) => (
              <li key={file.name}>
                {t('keeping.holds', {
                  name: file.name,
                  count: manifest.takes,
                  date: dateText(new Date(manifest.madeAt), 'dayYearTime'),
                })}{' '}
                {cutShort && t('keeping.cutShort')}{' '}
                {manifest.choice.report &&
                  t('keeping.reportOf', { by: manifest.choice.report.by || t('keeping.someone') })}
              </li>
            ))}
          </Box>
          <Flex gap="4" wrap="wrap" alignItems="center">
            <ActionButton disabled={busy !== null} onClick={() => onBack('merge')}>
              {t('keeping.merge')}
            </ActionButton>
            {mayReplace && (
              <ActionButton disabled={busy !== null} onClick={() => onBack('replace')}>
                {t('keeping.replace')}
              </ActionButton>
            )}
            {hasBooks && looked.archives.length === 1 && (
              <ActionButton disabled={busy !== null} onClick={onOwnBook}>
                {t('keeping.ownBook')}
              </ActionButton>
            )}
            <ActionButton look="plain" disabled={busy !== null} onClick={onForgetLooked}>
              {t('keeping.neither')}
            </ActionButton>
          </Flex>
          {hasBooks && looked.archives.length === 1 && (
            <Box mt="2" color="muted" maxW="prose">
              {t('keeping.ownBookHow')}
            </Box>
          )}
          {mayReplace && (
            <Box mt="2" color="muted" maxW="prose">
              {t('keeping.replaceHow')}
            </Box>
          )}
        </>
      )}
    </>
  );
}
