import { Box } from '@chakra-ui/react';
import { useSyncExternalStore } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton, installOffer } from '../../ui/index.ts';

const INSTALLED = '(display-mode: standalone)';

/** The way to have Inner Hum as an app of the device: one press where the browser offers it, else how. */
export function InstallLine() {
  const { t } = useTranslation();
  const offer = useSyncExternalStore(installOffer.subscribe, installOffer.current);
  if (window.matchMedia(INSTALLED).matches) return <Box color="muted">{t('install.done')}</Box>;
  return offer ? (
    <ActionButton alignSelf="flex-end" onClick={() => void installOffer.take()}>
      {t('install.button')}
    </ActionButton>
  ) : (
    <Box color="muted" maxW="prose" w="full">
      {t('install.how')}
    </Box>
  );
}
