import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';

/** The round waits until the player has done what is to be compared. */
export function WaitsLine() {
  const { t } = useTranslation();
  return (
    <Box fontFamily="heading" fontSize="large" maxW="prose" pt="2" role="status">
      {t('drill.waits')}
    </Box>
  );
}
