import { Box, chakra, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { ItemAnalysis, ItemMeasures, TakeAnalysis } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { findingText, NoteGlyph } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';
import { cents, decibels } from './figureRows.ts';

interface LineTableProps {
  analysis: TakeAnalysis;
  naming: NoteNaming;
  onCursor(seconds: number): void;
}

const COLUMNS = ['note', 'beat', 'response', 'slur', 'landing', 'pitch', 'level', 'verdict'] as const;
type Told = Partial<Record<(typeof COLUMNS)[number], string | null>>;

/** Finer than 5 ms nothing is known. */
const toFive = (ms: number) => Math.round(ms / 5) * 5;

function noteFigures(m: ItemMeasures, t: TFunction): Told {
  const ms = (value: number | null) => (value === null ? null : t('line.ms', { ms: toFive(value) }));
  const beat = m.onsetOffsetMs === null ? null : toFive(m.onsetOffsetMs);
  const landed = cents(m.landingCents, t);
  return {
    beat: beat === null ? null : t(beat < 0 ? 'line.early' : 'line.late', { ms: Math.abs(beat) }),
    response: ms(m.responseMs),
    slur: ms(m.slurMs),
    landing:
      landed && m.settleMs !== null && m.settleMs > 0
        ? t('line.settled', { landed, ms: toFive(m.settleMs) })
        : landed,
    pitch: cents(m.centsMean, t),
    level: decibels(m.levelDb, t),
  };
}

/** The figures that an item has, by column. */
function figures(item: ItemAnalysis, t: TFunction): Told {
  switch (item.kind) {
    case 'note':
      return item.measures ? noteFigures(item.measures, t) : {};
    case 'hum':
      return { pitch: cents(item.measures.humCents, t) };
    case 'air':
      return { level: decibels(item.measures.airLevelDb, t) };
    case 'rest': {
      const { gapNoiseDb } = item.measures;
      return {
        level: gapNoiseDb === null ? null : t('line.overRoom', { db: decimals(Math.max(0, gapNoiseDb), 1) }),
      };
    }
    default:
      return {};
  }
}

/** A line of notes, read note by note. */
export function LineTable({ analysis, naming, onCursor }: LineTableProps) {
  const { t } = useTranslation();
  const rows = analysis.items.filter(({ verdict }) => verdict !== null);
  const name = (item: ItemAnalysis) =>
    item.kind === 'note' ? (
      <NoteGlyph midi={item.writtenMidi} naming={naming} octave />
    ) : (
      t(`item.${item.kind === 'rest' ? 'hold' : item.kind}`)
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
            const told = figures(item, t);
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
