import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionLink } from './ActionButton.tsx';
import { RoomHeading } from './RoomHeading.tsx';

/** An address that no room has: what may be wrong with it, and ways on. */
export function NothingHere() {
  const { t } = useTranslation();
  return (
    <Box maxW="prose">
      <RoomHeading title={t('nowhere.title')} />
      <Box fontSize="medium" mb="5">
        {t('nowhere.text')}
      </Box>
      <Flex gap="5" wrap="wrap">
        <ActionLink look="main" to="/stand">
          {t('rooms.stand')}
        </ActionLink>
        <ActionLink to="/shelf">{t('rooms.shelf')}</ActionLink>
        <ActionLink to="/find">{t('rooms.find')}</ActionLink>
      </Flex>
    </Box>
  );
}
