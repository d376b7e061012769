import { Box, chakra, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { ItemAnalysis, ItemMeasures, TakeAnalysis } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { findingText, NoteGlyph } from '../../ui/index.ts';

interface LineTableProps {
  analysis: TakeAnalysis;
  naming: NoteNaming;
  onCursor(seconds: number): void;
}

const COLUMNS = ['note', 'beat', 'response', 'slur', 'pitch', 'level', 'verdict'] as const;

function figures(
  m: ItemMeasures | null,
  t: TFunction,
): Partial<Record<(typeof COLUMNS)[number], string | undefined>> {
  if (!m) return {};
  const ms = (value: number | null) =>
    value === null ? undefined : t('line.ms', { ms: Math.round(value / 5) * 5 });
  const side = m.centsMean === null ? null : Math.round(m.centsMean);
  const beat = m.onsetOffsetMs === null ? null : Math.round(m.onsetOffsetMs / 5) * 5;
  return {
    beat: beat === null ? undefined : t(beat < 0 ? 'line.early' : 'line.late', { ms: Math.abs(beat) }),
    response: ms(m.responseMs),
    slur: ms(m.slurMs),
    pitch:
      side === null
        ? undefined
        : t(side === 0 ? 'figure.inTune' : side > 0 ? 'figure.sharp' : 'figure.flat', {
            count: Math.abs(side),
          }),
    level: m.levelDb === null ? undefined : t('figure.db', { db: m.levelDb.toFixed(1) }),
  };
}

/** A line of notes, read note by note. */
export function LineTable({ analysis, naming, onCursor }: LineTableProps) {
  const { t } = useTranslation();
  const rows = analysis.items.filter(({ verdict }) => verdict !== null);
  const name = (item: ItemAnalysis) =>
    item.kind === 'note' ? (
      <NoteGlyph midi={item.writtenMidi} naming={naming} octave />
    ) : (
      t(`item.${item.kind}`)
    );
  return (
    <Box mt="7" overflowX="auto">
      <Heading as="h2" fontFamily="heading" fontSize="medium" mb="2">
        {t('drill.items')}
      </Heading>
      <chakra.table w="full" borderCollapse="collapse">
        <thead>
          <tr>
            {COLUMNS.map((column) => (
              <chakra.th
                key={column}
                scope="col"
                textAlign="left"
                fontWeight="400"
                fontSize="small"
                color="muted"
                pr="5"
                pb="1"
              >
                {t(`line.${column}`)}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((item) => {
            const told = figures(item.kind === 'note' ? item.measures : null, t);
            const start = item.startSeconds;
            return (
              <chakra.tr
                key={item.item}
                data-item={item.item}
                borderTopWidth="1px"
                borderTopStyle="solid"
                borderTopColor="line"
              >
                <chakra.th
                  scope="row"
                  textAlign="left"
                  fontFamily="heading"
                  fontWeight="400"
                  fontSize="large"
                  pr="5"
                  py="1"
                >
                  {start === null ? (
                    name(item)
                  ) : (
                    <chakra.button
                      type="button"
                      minH="touch"
                      cursor="pointer"
                      onClick={() => onCursor(start)}
                    >
                      {name(item)}
                    </chakra.button>
                  )}
                </chakra.th>
                {COLUMNS.slice(1, -1).map((column) => (
                  <chakra.td key={column} pr="5" whiteSpace="nowrap">
                    {told[column] ?? ''}
                  </chakra.td>
                ))}
                <td>{item.verdict?.findings.map((finding) => findingText(finding, naming, t)).join(' ')}</td>
              </chakra.tr>
            );
          })}
        </tbody>
      </chakra.table>
    </Box>
  );
}
