import { Box, Flex } from '@chakra-ui/react';
import { notesToCsv, notesToJson } from '@inner-hum/core/formats';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { csvStyle, findTakes, readSettings, readTakes } from '../../storage/index.ts';
import { ActionButton, downloadFile } from '../../ui/index.ts';
import { storageWorker, proxied } from '../../workers/index.ts';
import type { TakeFilter } from './takeFilter.ts';
import { takeFileName } from './takeFileName.ts';
import { choiceOf } from './useFoundTakes.ts';

interface SaveShownProps {
  /** How many takes the filter lets through. */
  count: number;
  filter: TakeFilter;
}

/** The takes that the filter lets through as files: their judged notes as tables, their sound as WAV. */
export function SaveShown({ count, filter }: SaveShownProps) {
  const { t } = useTranslation();
  const [busy, setBusy] = useState<number | null>(null);
  const [missing, setMissing] = useState(0);
  const packing = useRef(false);
  // Other work of the storage worker is none of this room's business.
  useEffect(() => () => void (packing.current && storageWorker()?.stop()), []);
  const readAll = async () => readTakes(await findTakes(choiceOf(filter)));
  async function saveSound() {
    setMissing(0);
    setBusy(0);
    packing.current = true;
    const named = (await readAll()).map((take) => ({
      id: take.id,
      name: takeFileName(take),
      sampleRateHz: take.sampleRateHz,
    }));
    try {
      const done = await storageWorker()?.zipOfTakes(
        named,
        proxied((packed: number) => setBusy(packed)),
      );
      if (done?.kind !== 'written') return;
      downloadFile('inner-hum takes.zip', done.file, 'application/zip');
      setMissing(done.missing);
    } finally {
      packing.current = false;
      setBusy(null);
    }
  }
  const text = (content: string) => new Blob([content]);
  return (
    <Box as="details" mb="4" data-testid="save-shown">
      <Box as="summary" minH="touch" cursor="pointer" display="list-item" pt="2">
        {t('takes.saveShown', { count })}
      </Box>
      <Flex gap="4" wrap="wrap" alignItems="center">
        <ActionButton
          onClick={() =>
            void Promise.all([readAll(), readSettings()]).then(([takes, settings]) =>
              downloadFile('inner-hum notes.csv', text(notesToCsv(takes, csvStyle(settings))), 'text/csv'),
            )
          }
        >
          {t('takes.saveCsv')}
        </ActionButton>
        <ActionButton
          onClick={() =>
            void readAll().then((takes) =>
              downloadFile('inner-hum notes.json', text(notesToJson(takes)), 'application/json'),
            )
          }
        >
          {t('takes.saveJson')}
        </ActionButton>
        {busy === null ? (
          <ActionButton onClick={() => void saveSound()}>{t('takes.saveWav')}</ActionButton>
        ) : (
          <ActionButton onClick={() => storageWorker()?.stop()}>{t('bringIn.stop')}</ActionButton>
        )}
        <Box role="status">
          {busy !== null && t('takes.saving', { done: busy, of: count })}
          {missing > 0 && t('takes.noSound', { count: missing })}
        </Box>
      </Flex>
    </Box>
  );
}
