import { Box, chakra, Heading } from '@chakra-ui/react';
import {
  familyOf,
  playedPhrases,
  scoreOf,
  spellingKey,
  type Exercise,
  type ExerciseItem,
  type HeadlineId,
  type MajorKey,
} from '@inner-hum/core/exercise';
import { clicksIn } from '@inner-hum/core/headline';
import type { NoteNaming } from '@inner-hum/core/horn';
import {
  AT_ONCE_SECONDS,
  isNeutral,
  type ItemAnalysis,
  type ItemMeasures,
  type NoteAnalysis,
  type TakeAnalysis,
} from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { Volume2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { findingText, NamedNoteGlyph, NoteGlyph } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';
import { cents, decibels } from './figureRows.ts';

interface LineTableProps {
  /** As it was judged; null where what was written is lost. */
  exercise: Exercise | null;
  analysis: TakeAnalysis;
  naming: NoteNaming;
  /** A stretch of the take alone, on its clock. */
  onHear(fromSeconds: number, toSeconds: number): void;
}

/** In the order they are read; one that has nothing to tell of any row is left out. */
const COLUMNS = [
  ...['note', 'beat', 'end', 'clicks', 'clear', 'held', 'response', 'caught', 'letGo', 'slur'],
  ...['landing', 'pitch', 'level', 'airier', 'softest', 'peak', 'span', 'softCents', 'loudCents', 'verdict'],
] as const;
type Column = (typeof COLUMNS)[number];

/** What each question is answered with, note by note; of an exercise of the player's own everything that there is. */
const ASKED: Record<HeadlineId, readonly Column[]> = {
  alternation: ['beat', 'pitch', 'level'],
  beats: ['beat', 'end'],
  bend: ['pitch', 'level'],
  caught: ['caught', 'letGo', 'response'],
  compare: ['pitch', 'level'],
  descent: ['level', 'softest', 'slur'],
  everyNote: ['pitch', 'level', 'softest', 'peak', 'softCents', 'loudCents'],
  hearing: ['pitch', 'level', 'span', 'response'],
  hits: ['clear', 'pitch', 'response'],
  hold: ['clicks', 'pitch', 'level'],
  hum: ['landing', 'pitch'],
  interval: ['landing', 'pitch'],
  ladderHolds: ['clicks', 'clear', 'pitch', 'level'],
  line: ['beat', 'slur', 'pitch', 'level'],
  lips: ['level'],
  match: ['pitch', 'level'],
  restarts: ['response', 'level', 'pitch'],
  slurs: ['clear', 'held', 'slur', 'pitch'],
  spoke: [],
  steady: ['pitch', 'level'],
  subtone: ['airier', 'level', 'pitch'],
  subtoneLine: ['airier', 'level', 'pitch'],
  swell: ['softest', 'peak', 'span', 'softCents', 'loudCents'],
  swells: ['softest', 'peak', 'span', 'softCents', 'loudCents'],
  twoWays: ['response', 'slur', 'pitch', 'level'],
  vibrato: ['pitch', 'level'],
  voiced: ['clear', 'pitch', 'landing'],
  vowels: ['pitch', 'level'],
  zones: ['clicks', 'pitch', 'level'],
};

/** A note is heard with a little of what is around it. */
const AROUND_SECONDS = 0.05;

type Told = Partial<Record<Column, string | null>>;

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
    clicks: m.holdBeats === null ? null : t('drill.clicks', { count: clicksIn(m.holdBeats) }),
    airier: m.subtone ? t('line.airierBy', { db: decimals(m.subtone.airierDb, 0) }) : null,
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

/** What an item is called: a note with its fingering and as what it was asked for, a side of a comparison by its word. */
function nameOf(
  item: ItemAnalysis,
  written: ExerciseItem | undefined,
  spelledIn: MajorKey | null,
  naming: NoteNaming,
  t: TFunction,
) {
  if (item.kind !== 'note') {
    const word = written?.kind === 'air' ? written.words?.at(0)?.text : undefined;
    return word ?? t(`item.${item.kind === 'rest' ? 'hold' : item.kind}`);
  }
  if (written?.kind !== 'note') return <NoteGlyph midi={item.writtenMidi} naming={naming} octave />;
  return <NamedNoteGlyph note={spelledIn ? { ...written, spelledIn } : written} naming={naming} />;
}

/** A line of notes, read note by note at arm's length: what the drill asks of each, and which of them stand out. */
export function LineTable({ exercise, analysis, naming, onHear }: LineTableProps) {
  const { t } = useTranslation();
  const rows = analysis.items.filter(({ verdict }) => verdict !== null);
  const score = exercise ? scoreOf(exercise) : [];
  const spelled = exercise ? playedPhrases(exercise).map(spellingKey) : [];
  const asked = exercise && familyOf(exercise)?.headline;
  const told = new Map(rows.map((item) => [item, figures(item, analysis.playedBeats !== undefined, t)]));
  const columns = COLUMNS.filter(
    (column) =>
      column === 'note' ||
      column === 'verdict' ||
      ((!asked || ASKED[asked].includes(column)) && rows.some((item) => told.get(item)?.[column])),
  );
  return (
    <Box mt="7" overflowX="auto">
      <Heading as="h2" fontFamily="heading" fontSize="medium" mb="2">
        {t('drill.items')}
      </Heading>
      <chakra.table w="full" borderCollapse="collapse" fontSize="medium">
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
                pl={column === 'note' ? '3' : '0'}
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
            const { startSeconds: start, endSeconds: end } = item;
            const timed = score.at(item.item);
            const name = nameOf(item, timed?.item, timed ? spelled[timed.phrase] : null, naming, t);
            const standsOut = item.verdict?.findings.some((finding) => !isNeutral(finding)) ?? false;
            return (
              <chakra.tr
                key={item.item}
                data-item={item.item}
                data-stands-out={standsOut || undefined}
                borderTopWidth="1px"
                borderTopStyle="solid"
                borderTopColor="line"
                borderLeftWidth="4px"
                borderLeftStyle="solid"
                borderLeftColor={standsOut ? 'brass' : 'transparent'}
              >
                <chakra.th
                  scope="row"
                  textAlign="left"
                  fontFamily="heading"
                  fontWeight="400"
                  fontSize="large"
                  pl="3"
                  pr="5"
                  py="1"
                >
                  {start === null || end === null ? (
                    name
                  ) : (
                    <chakra.button
                      type="button"
                      minH="touch"
                      cursor="pointer"
                      textAlign="left"
                      display="flex"
                      alignItems="center"
                      gap="2"
                      onClick={() => onHear(Math.max(0, start - AROUND_SECONDS), end + AROUND_SECONDS)}
                    >
                      {name}
                      <Volume2 size={16} role="img" aria-label={t('line.hear')} />
                    </chakra.button>
                  )}
                </chakra.th>
                {columns.slice(1, -1).map((column) => (
                  <chakra.td key={column} pr="5" whiteSpace="nowrap">
                    {told.get(item)?.[column] ?? ''}
                  </chakra.td>
                ))}
                <chakra.td fontWeight={standsOut ? '700' : '400'} color={standsOut ? 'ink' : 'muted'}>
                  {item.verdict?.findings.map((finding) => findingText(finding, naming, t)).join(' ')}
                </chakra.td>
              </chakra.tr>
            );
          })}
        </tbody>
      </chakra.table>
    </Box>
  );
}
