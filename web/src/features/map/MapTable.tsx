import { Box, chakra } from '@chakra-ui/react';
import { WITHIN_90 } from '@inner-hum/core/tendency';
import { useTranslation } from 'react-i18next';
import { centsText, NoteGlyph } from '../../notation/index.ts';
import { rowText } from './mapText.ts';
import type { HornMap, RowName } from './useHornMap.ts';

interface MapTableProps {
  data: HornMap;
  shift: number;
  soft: number;
  loud: number;
}

const COLUMNS: readonly RowName[] = ['responseMs', 'holdSeconds', 'noiseToHarmonicDb', 'centroidHarmonics'];

/** The figures behind the picture, note by note. */
export function MapTable({ data: { map, sums, settings }, shift, soft, loud }: MapTableProps) {
  const { t } = useTranslation();
  const cell = (text: string | null, key?: string) => (
    <chakra.td key={key} px="3" py="1" whiteSpace="nowrap">
      {text ?? t('figure.noAnswer')}
    </chakra.td>
  );
  return (
    <Box as="details" mt="5">
      <Box as="summary" cursor="pointer" minH="touch" color="muted">
        {t('map.table')}
      </Box>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label={t('map.table')}>
        <chakra.table borderCollapse="collapse">
          <thead>
            <tr>
              {(['note', 'pp', 'medium', 'ff', 'within'] as const).map((name) => (
                <chakra.th key={name} scope="col" px="3" textAlign="left" fontWeight="400" color="muted">
                  {t(`map.column.${name}`)}
                </chakra.th>
              ))}
              {COLUMNS.map((name) => (
                <chakra.th key={name} scope="col" px="3" textAlign="left" fontWeight="400" color="muted">
                  {t(`map.row.${name}`)}
                </chakra.th>
              ))}
            </tr>
          </thead>
          <tbody>
            {map.notes.map(({ writtenMidi, days, at }, i) => (
              <tr key={writtenMidi}>
                <chakra.th scope="row" px="3" textAlign="left" fontFamily="heading" fontWeight="400">
                  <NoteGlyph midi={writtenMidi + shift} naming={settings.naming} octave />
                </chakra.th>
                {cell(days === 0 ? null : centsText(at(soft).cents, t))}
                {cell(days === 0 ? null : centsText(at(0).cents, t))}
                {cell(days === 0 ? null : centsText(at(loud).cents, t))}
                {cell(days === 0 ? null : t('map.within', { cents: Math.round(WITHIN_90 * at(0).error) }))}
                {COLUMNS.map((name) => {
                  const value = sums[i].measures[name];
                  return cell(value === null ? null : rowText(name, value, t), name);
                })}
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  );
}
