import { Box, Flex } from '@chakra-ui/react';
import { dueCautions, type Caution, type Exercise } from '@inner-hum/core/exercise';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { changeSettings } from '../../storage/index.ts';
import { ActionButton } from '../../ui/index.ts';

interface CautionLineProps {
  exercise: Exercise;
  readAt: Partial<Record<Caution, number>>;
}

/** Cautions that this exercise calls for and that are still to be read: calmly, once, those of ear and throat once a day. */
export function CautionLine({ exercise, readAt }: CautionLineProps) {
  const { t } = useTranslation();
  const unread = useMemo(() => dueCautions(exercise, readAt, Date.now()), [exercise, readAt]);
  if (unread.length === 0) return null;
  return (
    <Flex
      as="aside"
      aria-label={t('caution.title')}
      gap="5"
      alignItems="center"
      borderLeftWidth="4px"
      borderLeftStyle="solid"
      borderLeftColor="brass"
      pl="4"
      py="1"
      mb="2"
      wrap={{ base: 'wrap', md: 'nowrap' }}
    >
      <Box as="ul" flex="1">
        {unread.map((name) => (
          <li key={name}>{t(`care.${name}`)}</li>
        ))}
      </Box>
      <ActionButton
        onClick={() => {
          const now = Date.now();
          const read = Object.fromEntries(unread.map((name) => [name, now]));
          void changeSettings({ cautionsReadAt: { ...readAt, ...read } });
        }}
      >
        {t('caution.read')}
      </ActionButton>
    </Flex>
  );
}
