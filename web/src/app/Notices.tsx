import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSelector } from 'react-redux';
import type { SessionStore } from '../session/index.ts';
import { ActionButton } from '../ui/index.ts';
import { takeUpdate, useUpdateReady } from './appUpdate.ts';

/** What concerns the whole app, above the room one is in; on the Stand nothing of it is shown. */
export function Notices() {
  const { t } = useTranslation();
  const outdated = useSelector((store: SessionStore) => store.session.outdated);
  const updateReady = useUpdateReady();
  const [playing, setPlaying] = useState(false);
  if (!outdated && !updateReady) return null;
  return (
    <Box role="status" bg="cane" px="4" py="1" mb="4">
      {outdated ? (
        <>
          {t('notice.outdated')}{' '}
          <ActionButton look="plain" onClick={() => window.location.reload()}>
            {t('way.reload')}
          </ActionButton>
        </>
      ) : (
        <>
          {t(playing ? 'notice.playing' : 'notice.update')}{' '}
          <ActionButton look="plain" onClick={() => void takeUpdate().then((taken) => setPlaying(!taken))}>
            {t('notice.take')}
          </ActionButton>
        </>
      )}
    </Box>
  );
}
