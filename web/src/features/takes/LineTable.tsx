import { Box, chakra, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import {
  AT_ONCE_SECONDS,
  type ItemAnalysis,
  type ItemMeasures,
  type NoteAnalysis,
  type TakeAnalysis,
} from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { findingText, NoteGlyph } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';
import { cents, decibels } from './figureRows.ts';

interface LineTableProps {
  analysis: TakeAnalysis;
  naming: NoteNaming;
  onCursor(seconds: number): void;
}

/** In the order they are read; one that has nothing to tell of any row is left out. */
const COLUMNS = [
  ...([
    'note',
    'beat',
    'end',
    'clear',
    'held',
    'response',
    'caught',
    'letGo',
    'slur',
    'landing',
    'pitch',
    'level',
  ] as const),
  ...(['softest', 'peak', 'span', 'softCents', 'loudCents', 'verdict'] as const),
] as const;
type Told = Partial<Record<(typeof COLUMNS)[number], string | null>>;

/** Finer than 5 ms nothing is known. */
const toFive = (ms: number) => Math.round(ms / 5) * 5;

function noteFigures(m: ItemMeasures, t: TFunction): Told {
  const ms = (value: number | null) => (value === null ? null : t('line.ms', { ms: toFive(value) }));
  const offBeat = (value: number | null | undefined) => {
    if (value === null || value === undefined) return null;
    const off = toFive(value);
    return t(off < 0 ? 'line.early' : 'line.late', { ms: Math.abs(off) });
  };
  const isSwell = m.softEndCents !== null;
  const landed = cents(m.landingCents, t);
  return {
    beat: offBeat(m.onsetOffsetMs),
    end: offBeat(m.endOffsetMs),
    caught: decibels(m.caughtDb ?? null, t),
    letGo: decibels(m.letGoDb ?? null, t),
    response: ms(m.responseMs),
    slur: ms(m.slurMs),
    landing:
      landed && m.settleMs !== null && m.settleMs > 0
        ? t('line.settled', { landed, ms: toFive(m.settleMs) })
        : landed,
    pitch: cents(m.centsMean, t),
    level: isSwell ? null : decibels(m.levelDb, t),
    ...(isSwell && {
      softest: decibels(m.softestDb ?? null, t),
      peak: decibels(m.peakDb ?? null, t),
      span: decibels(m.dynamicSpanDb, t),
      softCents: cents(m.softEndCents, t),
      loudCents: cents(m.loudEndCents, t),
    }),
  };
}

/** What is asked of a note that is held until the player moves. */
function ownTimeFigures({ measures, startSeconds, endSeconds }: NoteAnalysis, t: TFunction): Told {
  const seconds = (value: number | null | undefined) =>
    typeof value === 'number' ? t('line.seconds', { seconds: decimals(value, 1) }) : null;
  return {
    clear:
      (measures?.clearSeconds ?? Infinity) < AT_ONCE_SECONDS
        ? t('line.atOnce')
        : seconds(measures?.clearSeconds),
    held: seconds(startSeconds === null || endSeconds === null ? null : endSeconds - startSeconds),
  };
}

/** The figures that an item has, by column. */
function figures(item: ItemAnalysis, isOwnTime: boolean, t: TFunction): Told {
  switch (item.kind) {
    case 'note':
      return item.measures
        ? { ...noteFigures(item.measures, t), ...(isOwnTime && ownTimeFigures(item, t)) }
        : {};
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
  const told = new Map(rows.map((item) => [item, figures(item, analysis.playedBeats !== undefined, t)]));
  const columns = COLUMNS.filter(
    (column) => column === 'note' || column === 'verdict' || rows.some((item) => told.get(item)?.[column]),
  );
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
            {columns.map((column) => (
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
                {columns.slice(1, -1).map((column) => (
                  <chakra.td key={column} pr="5" whiteSpace="nowrap">
                    {told.get(item)?.[column] ?? ''}
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
