import { Box, Heading } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { RoomHeading, useAddressedPart, WORDS } from '../../ui/index.ts';

/** What the words of this house mean. The word that the address names is shown first. */
export function Component() {
  const { t, i18n } = useTranslation();
  useAddressedPart();
  const sorted = WORDS.map((word) => ({ word, name: t(`word.${word}.name`) })).sort((a, b) =>
    a.name.localeCompare(b.name, i18n.language),
  );
  return (
    <Box maxW="prose">
      <RoomHeading title={t('help.title')} aside={t('help.aside')} />
      {sorted.map(({ word, name }) => (
        <Box key={word} id={word} tabIndex={-1} scrollMarginTop="4" mb="4">
          <Heading as="h2" fontFamily="heading" fontSize="medium">
            {name}
          </Heading>
          <p>{t(`word.${word}.text`)}</p>
        </Box>
      ))}
    </Box>
  );
}
