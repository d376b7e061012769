import { Box, Flex } from '@chakra-ui/react';
import { AIMS } from '@inner-hum/core/plan';
import { format } from 'date-fns';
import { useTranslation } from 'react-i18next';
import { lineAddress, type Today } from '../../session/index.ts';
import { ActionButton, ActionLink, Choice, RoomHeading, Select } from '../../ui/index.ts';
import { LineRow } from './LineRow.tsx';
import { SheetAccount } from './SheetAccount.tsx';

interface TodayViewProps {
  today: Today;
  onMinutes(minutes: number): void;
  onAim(aim: string): void;
  onKeep(key: string): void;
  onNotToday(key: string): void;
  onAllToday(): void;
  onPlanAnew(): void;
}

const MINUTES = [5, 10, 15, 20, 30] as const;

export function TodayView(props: TodayViewProps) {
  const { today, onMinutes, onAim, onKeep, onNotToday, onAllToday, onPlanAnew } = props;
  const { t } = useTranslation();
  const { sheet, lines, horn, settings, since } = today;
  const open = lines.find(({ key, family }) => family !== null && !sheet.done.includes(key));
  const begun = sheet.done.length > 0;
  return (
    <Box maxW="page">
      <RoomHeading
        title={t('today.title')}
        aside={[format(sheet.plannedAt, 'EEEE d MMMM'), t(`horn.${horn.id}`)].join(' · ')}
        end={
          <Flex gap="5" wrap="wrap" alignItems="flex-end">
            <Choice
              legend={t('today.minutes')}
              value={String(sheet.minutes)}
              onChange={(minutes) => onMinutes(Number(minutes))}
              options={MINUTES.map((minutes) => ({
                value: String(minutes),
                label: t('today.min', { minutes }),
              }))}
            />
            <Select
              label={t('today.aim')}
              value={sheet.aim}
              onChange={onAim}
              plain={AIMS.map((aim) => ({ value: aim, label: t(`today.aims.${aim}`) }))}
            />
          </Flex>
        }
      />
      <Flex alignItems="center" gap="5" wrap="wrap" mb="4">
        {open ? (
          <ActionLink look="main" to={lineAddress(open, horn)}>
            {t(begun ? 'today.carryOn' : 'today.start')}
          </ActionLink>
        ) : (
          <Box fontFamily="heading" fontSize="large" data-testid="sheet-done">
            {t('today.allDone')}
          </Box>
        )}
        {begun && (
          <ActionButton look="plain" onClick={onPlanAnew}>
            {t('today.planAnew')}
          </ActionButton>
        )}
        {sheet.notToday.length > 0 && (
          <ActionButton look="plain" onClick={onAllToday}>
            {t('today.bringBack', { count: sheet.notToday.length })}
          </ActionButton>
        )}
      </Flex>
      {begun && <SheetAccount lines={lines} sheet={sheet} since={since} />}
      <Box as="ol" data-testid="sheet">
        {lines.map((line, i) => (
          <LineRow
            key={line.key}
            line={line}
            place={i + 1}
            horn={horn}
            settings={settings}
            isDone={sheet.done.includes(line.key)}
            isNext={line === open}
            isKept={sheet.kept.includes(line.key)}
            onKeep={() => onKeep(line.key)}
            onNotToday={() => onNotToday(line.key)}
          />
        ))}
      </Box>
    </Box>
  );
}
