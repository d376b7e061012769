import { Box, Flex, Heading } from '@chakra-ui/react';
import { isValid, parseISO } from 'date-fns';
import { useTranslation } from 'react-i18next';
import { Navigate, useParams } from 'react-router';
import { ReportButtons, TakeRow } from '../../listing/index.ts';
import { type DayNoteRecord, MOST_DAY_NOTE, writeDayNote } from '../../storage/index.ts';
import { ActionLink, NumberField, RoomHeading, TextArea } from '../../ui/index.ts';
import { dateText, decimals } from '../../words/index.ts';
import { dayReport, weekReport } from './dayReport.ts';
import { dayRows } from './dayRows.ts';
import { InkRows } from './InkRows.tsx';
import { dayAddress } from './logbookAddress.ts';
import { markText } from './markText.ts';
import { MilestoneLines } from './MilestoneLines.tsx';
import { RoundLine } from './RoundLine.tsx';
import { type LoggedDay, useDay } from './useDay.ts';

/** One day of the logbook. */
export function Component() {
  const { day = '' } = useParams();
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || !isValid(parseISO(day))) return <Navigate to="/logbook" replace />;
  return <DayOf key={day} day={day} />;
}

function DayOf({ day }: { day: string }) {
  const logged = useDay(day);
  if (!logged) return null;
  return <DayView logged={logged} onWrite={(change) => void writeDayNote(day, change)} />;
}

interface DayViewProps {
  logged: LoggedDay;
  onWrite(change: Partial<Omit<DayNoteRecord, 'day'>>): void;
}

const USUAL_CELSIUS = 20;
const CELSIUS = { least: -10, most: 45 };

/** What was played on a day, on what, what was written, and its takes. */
function DayView({ logged, onWrite }: DayViewProps) {
  const { t } = useTranslation();
  const { day, note, takes, ink, notes, playedOn, marks, milestones, settings, before, after } = logged;
  const date = parseISO(day);
  const asWritten = notes.filter((each) => each.asWritten).length;
  const { temperatureC } = note;
  return (
    <Box maxW="page">
      <RoomHeading
        keepsEnd
        title={dateText(date, 'weekdayYear')}
        end={
          <Flex gap="4" wrap="wrap">
            {before && (
              <ActionLink look="plain" to={dayAddress(before)}>
                {t('logbook.dayBefore')}
              </ActionLink>
            )}
            {after && (
              <ActionLink look="plain" to={dayAddress(after)}>
                {t('logbook.dayAfter')}
              </ActionLink>
            )}
            <ActionLink look="plain" to={`/logbook?month=${day.slice(0, 7)}`}>
              {t('logbook.toMonth')}
            </ActionLink>
          </Flex>
        }
      />
      {ink ? (
        <Box fontFamily="heading" fontSize="large" mb="4" data-testid="day-account">
          {t('logbook.dayAccount', {
            minutes: Math.max(1, Math.round(ink.playedSeconds / 60)),
            count: ink.takes,
          })}{' '}
          {notes.length > 0 && t('logbook.dayNotes', { asWritten, judged: notes.length })}
        </Box>
      ) : (
        <Box mb="4">{t('logbook.nothingPlayed')}</Box>
      )}
      <Box as="ul" mb="4">
        {playedOn.map(({ key, hornId, playedSeconds, mouthpiece, reed }) => (
          <li key={key}>
            {[
              t(`horn.${hornId}`),
              mouthpiece,
              reed,
              t('logbook.minutesOn', { minutes: decimals(playedSeconds / 60, 1) }),
            ]
              .filter(Boolean)
              .join(' · ')}
          </li>
        ))}
        {marks.map((mark) => (
          <li key={mark.key}>{markText(mark, t)}</li>
        ))}
      </Box>
      <Flex gap={{ base: '5', md: '8' }} wrap="wrap" alignItems="flex-start" mb="2">
        <Box flex="2" minW="quarter">
          <TextArea
            label={t('logbook.note')}
            value={note.text}
            maxLength={MOST_DAY_NOTE}
            onDone={(text) => onWrite({ text })}
          />
        </Box>
        <NumberField
          label={t('logbook.temperature')}
          less={t('logbook.colder')}
          more={t('logbook.warmer')}
          value={temperatureC}
          min={CELSIUS.least}
          max={CELSIUS.most}
          unit="°C"
          first={USUAL_CELSIUS}
          onChange={(degrees) => onWrite({ temperatureC: degrees })}
          onClear={() => onWrite({ temperatureC: null })}
        />
      </Flex>
      {ink && (
        <Box maxW="prose" mb="4">
          <InkRows
            dates={[day]}
            days={new Map([[day, ink]])}
            marks={[]}
            noted={new Set()}
            today=""
            withMinutes
          />
        </Box>
      )}
      {ink && (
        <Flex gap="6" wrap="wrap" mb="4">
          <ReportButtons
            fileName={t('report.dayFile', { day })}
            make={(withSound) => dayReport(logged, withSound, t)}
            hasSound
          />
          <Box display="flex" alignItems="center" gap="4">
            {t('report.orWeek')}
            <ReportButtons
              fileName={t('report.weekFile', { day })}
              make={(withSound) => weekReport(logged, withSound, t)}
              hasSound={false}
            />
          </Box>
        </Flex>
      )}
      <MilestoneLines milestones={milestones} naming={settings.naming} ofOneDay />
      {takes.length > 0 && (
        <Box as="section" mt="6" data-testid="day-takes">
          <Heading as="h2" fontSize="large" mb="2">
            {t('logbook.takes')}
          </Heading>
          {dayRows(takes).map((row) =>
            row.kind === 'take' ? (
              <TakeRow key={row.take.id} take={row.take} naming={settings.naming} />
            ) : (
              <RoundLine key={row.id} id={row.id} takes={row.takes} naming={settings.naming} />
            ),
          )}
        </Box>
      )}
    </Box>
  );
}
