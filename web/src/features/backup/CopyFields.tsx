import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import type { BackupViewProps } from './backupProps.ts';

/** A folder of the player's in which everything is kept a second time, by itself. */
export function CopyFields({ folder, canChooseFolder, busy, onCopy, onForgetFolder }: BackupViewProps) {
  const { t } = useTranslation();
  if (!canChooseFolder) return <Box maxW="prose">{t('keeping.noFolders')}</Box>;
  return (
    <>
      <Box maxW="prose" mb="3">
        {t('keeping.copiesHow')}{' '}
        {folder &&
          (folder.writtenAt === 0
            ? t('keeping.folderNew', { folder: folder.handle.name })
            : t('keeping.folder', {
                folder: folder.handle.name,
                date: dateText(folder.writtenAt, 'dayTime'),
              }))}
      </Box>
      <Flex gap="4" wrap="wrap">
        {folder && (
          <ActionButton disabled={busy !== null} onClick={() => onCopy(false)}>
            {t('keeping.copyNow')}
          </ActionButton>
        )}
        <ActionButton disabled={busy !== null} onClick={() => onCopy(true)}>
          {t(folder ? 'keeping.otherFolder' : 'keeping.chooseFolder')}
        </ActionButton>
        {folder && (
          <ActionButton look="plain" disabled={busy !== null} onClick={onForgetFolder}>
            {t('keeping.forgetFolder')}
          </ActionButton>
        )}
      </Flex>
    </>
  );
}
