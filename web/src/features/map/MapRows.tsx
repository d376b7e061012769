import { useTranslation } from 'react-i18next';
import { decimals } from '../../words/index.ts';
import { MapRow } from './MapRow.tsx';
import type { MapScale } from './mapScale.ts';
import type { HornMap } from './useHornMap.ts';

/** How each note answers, holds and breathes, how bright it is, and how far it reaches. */
export function MapRows({ data: { sums, rows }, scale }: { data: HornMap; scale: MapScale }) {
  const { t } = useTranslation();
  return (
    <>
      <MapRow
        label={t('map.row.responseMs')}
        unitText={(top) => t('map.unit.ms', { top: Math.round(top / 10) * 10 })}
        scale={scale}
        sums={sums}
        evenness={rows.responseMs}
        value={({ measures: { responseMs } }) => (responseMs === null ? null : [0, responseMs])}
      />
      <MapRow
        label={t('map.row.holdSeconds')}
        unitText={(top) => t('map.unit.seconds', { top: Math.round(top) })}
        scale={scale}
        sums={sums}
        evenness={rows.holdSeconds}
        value={({ measures: { holdSeconds } }) => (holdSeconds === null ? null : [0, holdSeconds])}
      />
      <MapRow
        label={t('map.row.noiseToHarmonicDb')}
        unitText={() => t('map.unit.db')}
        scale={scale}
        sums={sums}
        evenness={rows.noiseToHarmonicDb}
        least={-40}
        most={0}
        value={({ measures: { noiseToHarmonicDb } }) =>
          noiseToHarmonicDb === null ? null : [-40, noiseToHarmonicDb]
        }
      />
      <MapRow
        label={t('map.row.centroidHarmonics')}
        unitText={(top) => t('map.unit.harmonic', { top: decimals(top, 1) })}
        scale={scale}
        sums={sums}
        evenness={rows.centroidHarmonics}
        value={({ measures: { centroidHarmonics } }) =>
          centroidHarmonics === null ? null : [0, centroidHarmonics]
        }
      />
      <MapRow
        label={t('map.row.reach')}
        unitText={() => 'ppp – fff'}
        scale={scale}
        sums={sums}
        evenness={rows.levelDb}
        hasCurve={false}
        most={1}
        value={({ softest, loudest }) => (softest === null || loudest === null ? null : [softest, loudest])}
      />
    </>
  );
}
