import { Box, Flex } from '@chakra-ui/react';
import { cautionsOf, type Caution, type Exercise } from '@inner-hum/core/exercise';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { changeSettings } from '../../storage/index.ts';
import { ActionButton } from '../../ui/index.ts';

/** Cautions that this exercise calls for and that have not been read yet: once, calmly. They can be read again in the Case. */
export function CautionLine({ exercise, read }: { exercise: Exercise; read: readonly Caution[] }) {
  const { t } = useTranslation();
  const unread = useMemo(() => cautionsOf(exercise).filter((name) => !read.includes(name)), [exercise, read]);
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
      <ActionButton onClick={() => void changeSettings({ cautionsRead: [...read, ...unread] })}>
        {t('caution.read')}
      </ActionButton>
    </Flex>
  );
}
