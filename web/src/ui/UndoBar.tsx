import { Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';

/** What was just taken away, and the way to have it back. */
export function UndoBar({ text, onUndo }: { text: string; onUndo(): void }) {
  const { t } = useTranslation();
  return (
    <Flex role="status" alignItems="center" gap="4" mb="4" bg="cane" px="4" py="1">
      {text}
      <ActionButton look="plain" onClick={onUndo}>
        {t('takes.undo')}
      </ActionButton>
    </Flex>
  );
}
