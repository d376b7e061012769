import { Flex } from '@chakra-ui/react';
import { mapToCsv } from '@inner-hum/core/formats';
import { WITHIN_90 } from '@inner-hum/core/tendency';
import { useTranslation } from 'react-i18next';
import { pageOfElement } from '../../listing/index.ts';
import { useRibbonPalette } from '../../ribbon/index.ts';
import { csvStyle, readSettings } from '../../storage/index.ts';
import { ActionButton, downloadFile, ShareButton } from '../../ui/index.ts';
import type { HornMap } from './useHornMap.ts';

const PAGE = 'text/html';

interface SaveMapProps {
  data: HornMap;
  soft: number;
  loud: number;
  /** What is drawn. */
  picture: React.RefObject<HTMLDivElement | null>;
}

/** The map as one page that opens anywhere, and its figures as a table. */
export function SaveMap({ data: { horn, map, sums, mouthpiece }, soft, loud, picture }: SaveMapProps) {
  const { t, i18n } = useTranslation();
  const { paper } = useRibbonPalette();
  const name = `horn-map-${horn.id}`;
  async function saveTable() {
    const style = csvStyle(await readSettings());
    const notes = map.notes.map(({ writtenMidi, days, at }, i) => {
      const known = (value: number) => (days === 0 ? null : value);
      const { responseMs, holdSeconds, noiseToHarmonicDb, centroidHarmonics } = sums[i].measures;
      return {
        writtenMidi,
        days,
        centsAtPp: known(at(soft).cents),
        centsAtMedium: known(at(0).cents),
        centsAtFf: known(at(loud).cents),
        withinCents: known(WITHIN_90 * at(0).error),
        responseMs,
        holdSeconds,
        noiseToHarmonicDb,
        centroidHarmonics,
      };
    });
    downloadFile(`${name}.csv`, new Blob([mapToCsv(notes, style)]), 'text/csv');
  }
  function page(): Blob {
    const title = [t('map.title'), t(`horn.${horn.id}`), mouthpiece.name].filter(Boolean).join(' · ');
    const html = picture.current ? pageOfElement(picture.current, title, paper, i18n.language) : '';
    return new Blob([html], { type: PAGE });
  }
  return (
    <Flex gap="4" wrap="wrap" mt="4">
      <ActionButton look="plain" onClick={() => downloadFile(`${name}.html`, page(), PAGE)}>
        {t('map.savePage')}
      </ActionButton>
      <ActionButton look="plain" onClick={() => void saveTable()}>
        {t('map.saveCsv')}
      </ActionButton>
      <ShareButton name={`${name}.html`} type={PAGE} make={page} />
    </Flex>
  );
}
