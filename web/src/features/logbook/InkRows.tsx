import { SKILLS } from '@inner-hum/core/exercise';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { parseISO } from 'date-fns';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { ZONES } from '@inner-hum/core/practice';
import { dateText, decimals } from '../../words/index.ts';
import { INK_ROWS, type InkDay, type InkRow } from './inkDay.ts';
import { inkShare, inkStroke, ROW_HEIGHT } from './inkStroke.ts';
import { dayAddress } from './logbookAddress.ts';
import { isChange, type Mark } from './marks.ts';
import { markName } from './markText.ts';

const DayLink = chakra(Link);

interface InkRowsProps {
  /** `yyyy-MM-dd`, in order. */
  dates: readonly string[];
  days: ReadonlyMap<string, InkDay>;
  marks: readonly Mark[];
  /** Days on which something was written. */
  noted: ReadonlySet<string>;
  /** Today, if it is among them. */
  today: string;
  /** Tells the minutes of each row in figures, for a day by itself. */
  withMinutes?: boolean;
}

const rowsWithInk = (days: ReadonlyMap<string, InkDay>): InkRow[] =>
  INK_ROWS.filter(
    (row) =>
      (ZONES as readonly string[]).includes(row) || [...days.values()].some(({ rows }) => rows[row] > 0),
  );

/** Scrolls a month that is wider than its page to its end. */
const showLatest = (scroller: HTMLDivElement | null) => {
  if (scroller) scroller.scrollLeft = scroller.scrollWidth;
};

/** Strokes of so many seconds tell how thick they are. */
const LEGEND_SECONDS = [60, 300, 900];

const isZone = (row: InkRow) => (ZONES as readonly string[]).includes(row);

/** A month as ink: a row for each part of the horn and each skill, a stroke for each day, the thicker the longer it was played. */
export function InkRows({ dates, days, marks, noted, today, withMinutes = false }: InkRowsProps) {
  const { t } = useTranslation();
  const rows = rowsWithInk(days);
  const most = Math.max(1, ...[...days.values()].flatMap((day) => rows.map((row) => day.rows[row])));
  const shown = marks.filter(isChange);
  return (
    <Box position="relative" data-testid="ink">
      {/* On a phone the month is wider than the page: it is moved sideways, and begins where its last ink is. */}
      <Box ref={showLatest} overflowX={{ base: 'auto', md: 'visible' }}>
        <Box minW={{ base: withMinutes ? '0' : 'inkMonth', md: '0' }}>
          {shown.length > 0 && (
            <Flex>
              <Box w={{ md: 'tryColumn' }} flexShrink="0" />
              <Box flex="1" minW="0" h="touch" position="relative">
                {shown.map((mark, i) => (
                  <Box
                    key={mark.key}
                    position="absolute"
                    fontSize="small"
                    whiteSpace="nowrap"
                    top={i % 2 === 0 ? '5' : '0'}
                    {...sideOf(dates.indexOf(mark.day), dates.length)}
                  >
                    {markName(mark, t)}
                  </Box>
                ))}
              </Box>
            </Flex>
          )}
          <Box as="ul" position="relative">
            {rows.map((row) => (
              <Flex
                as="li"
                key={row}
                direction={{ base: 'column', md: 'row' }}
                alignItems={{ md: 'center' }}
                mt={row === SKILLS.find((skill) => rows.includes(skill)) ? '5' : '0'}
              >
                <Box
                  w={{ base: 'fit-content', md: 'tryColumn' }}
                  position={{ base: 'sticky', md: 'static' }}
                  left="0"
                  flexShrink="0"
                  fontSize={{ base: 'small', md: 'normal' }}
                  color={isZone(row) ? 'ink' : 'muted'}
                >
                  {t(`logbook.row.${row}`)}
                  {withMinutes && ` ${minutesText(days.get(dates[0])?.rows[row] ?? 0, t)}`}
                </Box>
                <Box flex="1" minW="0">
                  <svg
                    viewBox={`0 0 ${dates.length} ${ROW_HEIGHT}`}
                    preserveAspectRatio="none"
                    width="100%"
                    height={ROW_HEIGHT}
                    style={{ display: 'block' }}
                    aria-hidden="true"
                  >
                    <chakra.line
                      x1={0}
                      x2={dates.length}
                      y1={ROW_HEIGHT / 2}
                      y2={ROW_HEIGHT / 2}
                      stroke="line"
                      strokeWidth="1px"
                      vectorEffect="non-scaling-stroke"
                    />
                    {dates.map((day, i) => {
                      const seconds = days.get(day)?.rows[row] ?? 0;
                      return seconds === 0 ? null : (
                        <chakra.path key={day} d={inkStroke(i, inkShare(seconds, most))} fill="ink" />
                      );
                    })}
                  </svg>
                </Box>
              </Flex>
            ))}
          </Box>
          <Flex display={withMinutes ? 'none' : 'flex'}>
            <Box w={{ md: 'tryColumn' }} flexShrink="0" />
            <Box as="ol" display="flex" flex="1" minW="0">
              {dates.map((day) => {
                const ink = days.get(day);
                const date = parseISO(day);
                const isMarked = shown.some((mark) => mark.day === day);
                return (
                  <Box as="li" key={day} flex="1" minW="0">
                    <DayLink
                      to={dayAddress(day)}
                      display="flex"
                      flexDirection="column"
                      alignItems="center"
                      justifyContent="flex-end"
                      h="touch"
                      fontSize={{ base: 'tiny', md: 'small' }}
                      color={ink ? 'ink' : 'muted'}
                      fontWeight={day === today ? 700 : 400}
                      borderBottomWidth="3px"
                      borderBottomStyle="solid"
                      borderBottomColor={day === today ? 'brass' : 'transparent'}
                      aria-label={
                        ink
                          ? t('logbook.dayOf', {
                              date: dateText(date, 'weekday'),
                              minutes: Math.round(ink.playedSeconds / 60),
                              count: ink.takes,
                            })
                          : t('logbook.emptyDay', { date: dateText(date, 'weekday') })
                      }
                    >
                      <span aria-hidden="true">{isMarked ? '▲' : noted.has(day) ? '·' : ''}</span>
                      <span aria-hidden="true">{date.getDate()}</span>
                    </DayLink>
                  </Box>
                );
              })}
            </Box>
          </Flex>
        </Box>
      </Box>
      {!withMinutes && (
        <Flex alignItems="center" gap="3" wrap="wrap" color="muted" fontSize="small" mt="2">
          {LEGEND_SECONDS.filter((seconds) => seconds <= Math.max(60, most)).map((seconds) => (
            <Flex key={seconds} alignItems="center" gap="2">
              <svg
                width="30"
                height={ROW_HEIGHT}
                viewBox={`0 0 1 ${ROW_HEIGHT}`}
                preserveAspectRatio="none"
                aria-hidden="true"
              >
                <chakra.path d={inkStroke(0, inkShare(seconds, most))} fill="ink" />
              </svg>
              {t('logbook.minutesOf', { minutes: seconds / 60 })}
            </Flex>
          ))}
          <Box>{t('logbook.legend')}</Box>
        </Flex>
      )}
    </Box>
  );
}

const minutesText = (seconds: number, t: TFunction) =>
  seconds === 0 ? '' : t('logbook.minutesOf', { minutes: decimals(seconds / 60, 1) });

/** A label keeps inside the picture. */
function sideOf(place: number, count: number) {
  const percent = (100 * (place + 0.5)) / count;
  return percent > 70 ? { right: `${100 - percent}%` } : { left: `${percent}%` };
}
