import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton, useNarrow } from '../../ui/index.ts';

interface StandControlsProps {
  /** How it begins. */
  start: ReactNode;
  /** What is to be known before. */
  notes?: ReactNode;
  /** What to play. */
  fields?: ReactNode;
}

/** Before playing: how it begins under the note, beside it what can be changed. On a phone the fields lie over the page while one changes them. */
export function StandControls({ start, notes, fields }: StandControlsProps) {
  const { t } = useTranslation();
  const narrow = useNarrow();
  const [isOpen, setOpen] = useState(false);
  if (narrow)
    return (
      <Flex direction="column" gap="3" h="full">
        <Box>{start}</Box>
        {notes}
        {fields && (
          <ActionButton alignSelf="flex-start" aria-expanded={isOpen} onClick={() => setOpen(true)}>
            {t('drill.changeFields')}
          </ActionButton>
        )}
        {isOpen && (
          <Box
            position="fixed"
            bottom="0"
            left="0"
            right="0"
            maxH="80dvh"
            overflowY="auto"
            zIndex="2"
            bg="paper"
            px="4"
            py="3"
            borderTopWidth="4px"
            borderTopStyle="solid"
            borderTopColor="brass"
            role="group"
            aria-label={t('drill.changeFields')}
          >
            <Flex columnGap="5" rowGap="2" wrap="wrap" alignItems="flex-start">
              {fields}
            </Flex>
            <ActionButton look="main" mt="3" onClick={() => setOpen(false)}>
              {t('drill.fieldsDone')}
            </ActionButton>
          </Box>
        )}
      </Flex>
    );
  return (
    <Flex gap="5" alignItems="flex-start">
      <Box w="noteColumn" flexShrink="0" pt="2">
        {start}
      </Box>
      <Box flex="1" minW="0">
        {notes}
        <Flex columnGap="6" rowGap="1" wrap="wrap" alignItems="flex-start">
          {fields}
        </Flex>
      </Box>
    </Flex>
  );
}
