import { Box, Flex, Heading } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation, useRouteError } from 'react-router';
import { saveArchive } from '../files/index.ts';
import { EVERYTHING } from '../storage/index.ts';
import { ActionButton } from '../ui/index.ts';
import { proxied, storageWorker, type StorageWorker } from '../workers/index.ts';
import { takeUpdate } from './appUpdate.ts';
import { isLostRoom } from './lostRoom.ts';
import { rowOfAddress } from './rowOfAddress.ts';

/** A newer version that waits may be the one that mends it. */
async function loadAgain() {
  if (!(await takeUpdate())) window.location.reload();
}

const textOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Everything as a file, whatever this room fails on. */
async function exportEverything(stored: StorageWorker) {
  const done = await stored.writeArchive(
    EVERYTHING,
    proxied(() => undefined),
  );
  if (done.kind === 'written') saveArchive(done.file);
}

/**
 * A room that could not be shown: what to do, and that nothing is lost. Rows that nothing can read are set aside on the way; the row that the room
 * is of can be, whatever is wrong with it.
 */
export function RoomFailed() {
  const { t } = useTranslation();
  const error = useRouteError();
  const isLost = isLostRoom(error);
  const row = rowOfAddress(useLocation().pathname);
  const stored = storageWorker();
  const [quarantine, setQuarantine] = useState(0);
  const [notExported, setNotExported] = useState<string | null>(null);
  useEffect(() => {
    void storageWorker()
      ?.checkRows()
      .then(setQuarantine, () => undefined);
  }, []);
  return (
    <Box p="8" maxW="prose">
      <Heading as="h1" fontSize="title" fontFamily="heading" mb="4">
        {t('failed.title')}
      </Heading>
      <Box mb="4">{t(isLost ? 'failed.lost' : 'failed.text')}</Box>
      <Box role="status" mb="4">
        {quarantine > 0 && t('failed.quarantine', { count: quarantine })}
      </Box>
      <Box color="muted" mb="5" fontSize="small">
        {textOf(error)}
      </Box>
      <Flex gap="4" wrap="wrap" alignItems="center">
        <ActionButton onClick={() => void loadAgain()}>{t('way.reload')}</ActionButton>
        {stored && row && !isLost && quarantine === 0 && (
          <ActionButton
            onClick={() =>
              void stored.setRowAside(row.table, row.id).then((isAside) => setQuarantine(isAside ? 1 : 0))
            }
          >
            {t('failed.setAside')}
          </ActionButton>
        )}
        {stored && (
          <ActionButton
            look="plain"
            onClick={() => {
              setNotExported(null);
              exportEverything(stored).catch((why: unknown) => setNotExported(textOf(why)));
            }}
          >
            {t('failed.export')}
          </ActionButton>
        )}
      </Flex>
      <Box role="alert" mt="4">
        {notExported !== null && t('failed.notExported', { why: notExported })}
      </Box>
    </Box>
  );
}
