import { dayOf } from '../../storage/index.ts';
import { Box, Flex } from '@chakra-ui/react';
import { addMonths, eachDayOfInterval, format, parseISO } from 'date-fns';
import { useTranslation } from 'react-i18next';
import {
  ActionButton,
  ActionLink,
  Choice,
  LogbookLinks,
  RoomHeading,
  SearchField,
  type UrlStateChange,
} from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { InkRows } from './InkRows.tsx';
import { dayAddress, type MonthLook } from './logbookAddress.ts';
import { markText } from './markText.ts';
import { MilestoneLines } from './MilestoneLines.tsx';
import type { FoundDay } from './useFoundDays.ts';
import type { Month } from './useMonth.ts';

interface MonthViewProps {
  look: MonthLook;
  month: Month;
  /** Null while it is searched. */
  found: readonly FoundDay[] | null;
  now: Date;
  onChange(change: UrlStateChange<MonthLook>): void;
}

export function MonthView({ look, month, found, now, onChange }: MonthViewProps) {
  const { t } = useTranslation();
  const { first, last, days, notes, marks, milestones, horns, span, settings } = month;
  const dates = eachDayOfInterval({ start: parseISO(first), end: parseISO(last) }).map((date) => dayOf(date));
  const seconds = [...days.values()].reduce((sum, { playedSeconds }) => sum + playedSeconds, 0);
  // From the month that is asked for: the one that is shown may be the one before it for a moment.
  const step = (by: 1 | -1) =>
    onChange((standing) => ({ month: format(addMonths(parseISO(`${standing.month}-01`), by), 'yyyy-MM') }));
  const isEarliest = span === null || span.first >= `${look.month}-01`;
  const isLatest = look.month >= format(now, 'yyyy-MM');
  return (
    <Box maxW="page">
      <RoomHeading
        help="logbook"
        title={dateText(parseISO(first), 'month')}
        aside={days.size > 0 && t('logbook.monthOf', { minutes: Math.round(seconds / 60), count: days.size })}
        end={
          <Flex gap="4" wrap="wrap">
            <ActionButton look="plain" disabled={isEarliest} onClick={() => step(-1)}>
              {t('logbook.before')}
            </ActionButton>
            <ActionButton look="plain" disabled={isLatest} onClick={() => step(1)}>
              {t('logbook.after')}
            </ActionButton>
            <LogbookLinks />
          </Flex>
        }
      />
      <Flex gap="6" wrap="wrap" alignItems="flex-end" mb="5">
        <SearchField
          label={t('logbook.search')}
          value={look.words}
          onChange={(words) => onChange({ words })}
        />
        {horns.length > 1 && (
          <Choice
            legend={t('filter.horn')}
            value={look.horn}
            onChange={(horn) => onChange({ horn })}
            options={[
              { value: '', label: t('filter.anyHorn') },
              ...horns.map((id) => ({ value: id, label: t(`horn.${id}`) })),
            ]}
          />
        )}
      </Flex>
      {look.words !== '' ? (
        <FoundDays found={found} />
      ) : (
        <>
          {span === null ? (
            <Box maxW="prose">
              <Box mb="5">{t('logbook.empty')}</Box>
              <ActionLink look="main" to="/today">
                {t('logbook.toToday')}
              </ActionLink>
            </Box>
          ) : (
            <InkRows
              dates={dates}
              days={days}
              marks={marks}
              noted={new Set(notes.map(({ day }) => day))}
              today={dayOf(now)}
            />
          )}
          <MilestoneLines milestones={milestones} naming={settings.naming} />
          {marks.length + notes.length > 0 && (
            <Box as="section" mt="6">
              <Box as="h2" fontFamily="heading" fontSize="large" mb="2">
                {t('logbook.written')}
              </Box>
              <Box as="ul">
                {[
                  ...marks.map((mark) => ({ day: mark.day, text: markText(mark, t) })),
                  ...notes.map(({ day, text }) => ({ day, text })),
                ]
                  .toSorted((a, b) => b.day.localeCompare(a.day))
                  .map((line) => (
                    <DayLine key={`${line.day} ${line.text}`} {...line} />
                  ))}
              </Box>
            </Box>
          )}
        </>
      )}
    </Box>
  );
}

function FoundDays({ found }: { found: readonly FoundDay[] | null }) {
  const { t } = useTranslation();
  if (!found) return null;
  return (
    <Box data-testid="found-days">
      {found.length === 0 ? (
        t('logbook.notFound')
      ) : (
        <Box as="ul">
          {found.map((line) => (
            <DayLine key={line.day} {...line} withYear />
          ))}
        </Box>
      )}
    </Box>
  );
}

/** A day and what was written on it. */
function DayLine({ day, text, withYear = false }: { day: string; text: string; withYear?: boolean }) {
  return (
    <Flex as="li" gap="4" alignItems="baseline" wrap={{ base: 'wrap', md: 'nowrap' }} py="1">
      <ActionLink look="plain" justifyContent="flex-start" minW="field" flexShrink="0" to={dayAddress(day)}>
        {dateText(parseISO(day), withYear ? 'dayYear' : 'day')}
      </ActionLink>
      <Box minW="0">{text}</Box>
    </Flex>
  );
}
