import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionLink, RoomHeading } from '../../ui/index.ts';

export function TakeMissing() {
  const { t } = useTranslation();
  return (
    <Box maxW="prose">
      <RoomHeading title={t('take.missing')} />
      <Box mb="5">{t('take.missingText')}</Box>
      <ActionLink to="/takes">{t('take.toList')}</ActionLink>
    </Box>
  );
}
