import { Box } from '@chakra-ui/react';
import { familyById } from '@inner-hum/core/exercise';
import { chartRun } from '@inner-hum/core/tendency';
import { useTranslation } from 'react-i18next';
import { drillAddress } from '../../addresses/index.ts';
import { noteText } from '../../notation/index.ts';
import { ActionLink } from '../../ui/index.ts';
import { KNOWN_CENTS, type HornMap } from './useHornMap.ts';

/** A chart run of more would take longer than ten minutes. */
const MOST_RUN = 40;
const SECONDS_A_NOTE = 9;
/** More names than this are no longer read. */
const NAMED = 8;

/** The notes that are not known yet, and the run that fills them in. */
export function RunLines({ data, shift }: { data: HornMap; shift: number }) {
  const { t } = useTranslation();
  const { horn, map, settings } = data;
  const family = familyById('chartRun');
  const inRange = map.notes.filter(
    ({ writtenMidi }) => writtenMidi >= horn.lowest && writtenMidi <= horn.highest,
  );
  const open = inRange.filter(({ placeError }) => placeError > KNOWN_CENTS);
  const run = chartRun(map, MOST_RUN).filter((midi) => midi >= horn.lowest && midi <= horn.highest);
  if (!family || run.length === 0) return <Box>{t('map.allKnown')}</Box>;
  const names = open.slice(0, NAMED).map(({ writtenMidi }) => noteText(writtenMidi + shift, settings.naming));
  return (
    <>
      <Box mb="2" data-testid="map-progress">
        {t('map.known', { known: inRange.length - open.length, count: inRange.length })}{' '}
        {open.length > 0 && open.length <= NAMED && t('map.openNotes', { notes: names.join(', ') })}
      </Box>
      <ActionLink
        look={data.days.length === 0 ? 'main' : 'line'}
        to={drillAddress(family, horn, { notes: run.join('.') })}
      >
        {t('map.run', { count: Math.max(1, Math.ceil((run.length * SECONDS_A_NOTE) / 60)) })}
      </ActionLink>
    </>
  );
}
