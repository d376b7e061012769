import { Box, Heading } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useRouteError } from 'react-router';
import { ActionButton } from '../ui/index.ts';
import { storageWorker } from '../workers/index.ts';
import { takeUpdate } from './appUpdate.ts';
import { isLostRoom } from './lostRoom.ts';

/** A newer version that waits may be the one that mends it. */
async function loadAgain() {
  if (!(await takeUpdate())) window.location.reload();
}

/** A room that could not be shown: what to do, and that nothing is lost. A row that nothing can read is put aside on the way. */
export function RoomFailed() {
  const { t } = useTranslation();
  const error = useRouteError();
  const [quarantine, setSetAside] = useState(0);
  useEffect(() => {
    void storageWorker()
      ?.checkRows()
      .then(setSetAside, () => undefined);
  }, []);
  return (
    <Box p="8" maxW="prose">
      <Heading as="h1" fontSize="title" fontFamily="heading" mb="4">
        {t('failed.title')}
      </Heading>
      <Box mb="4">{t(isLostRoom(error) ? 'failed.lost' : 'failed.text')}</Box>
      <Box role="status" mb="4">
        {quarantine > 0 && t('failed.quarantine', { count: quarantine })}
      </Box>
      <Box color="muted" mb="5" fontSize="small">
        {error instanceof Error ? error.message : String(error)}
      </Box>
      <ActionButton onClick={() => void loadAgain()}>{t('way.reload')}</ActionButton>
    </Box>
  );
}
