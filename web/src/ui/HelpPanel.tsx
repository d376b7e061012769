import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionLink } from './ActionButton.tsx';
import { WORDS_OF, type HelpTopic } from './helpTopics.ts';

/** How a room is used, and the words one needs for it. */
export default function HelpPanel({ topic }: { topic: HelpTopic }) {
  const { t } = useTranslation();
  return (
    <Box maxW="prose" borderLeftWidth="4px" borderStyle="solid" borderColor="cane" pl="4" mb="5" role="note">
      {t(`help.about.${topic}`)
        .split('\n\n')
        .map((paragraph) => (
          <Box as="p" key={paragraph} mb="2">
            {paragraph}
          </Box>
        ))}
      <Flex gap="3" wrap="wrap" alignItems="center">
        <span>{t('help.words')}</span>
        {WORDS_OF[topic].map((word) => (
          <ActionLink key={word} look="plain" to={`/words#${word}`}>
            {t(`word.${word}.name`)}
          </ActionLink>
        ))}
        <ActionLink look="plain" to="/words">
          {t('help.all')}
        </ActionLink>
      </Flex>
    </Box>
  );
}
