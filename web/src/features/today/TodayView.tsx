import { Box, Flex } from '@chakra-ui/react';
import { FAMILIES, PATH_IDS, type Gate, type PathId } from '@inner-hum/core/exercise';
import { AIMS, pathOf } from '@inner-hum/core/plan';
import { parseISO } from 'date-fns';
import { useTranslation } from 'react-i18next';
import { giveAddress, isPlayable, lineAddress, type Today } from '../../today/index.ts';
import type { OwnExercise } from '../../storage/index.ts';
import { familyName } from '../../notation/index.ts';
import { ActionButton, ActionLink, Choice, RoomHeading, Select } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { LineRow } from './LineRow.tsx';
import { NotYetLines } from './NotYetLines.tsx';
import { PathPanel } from './PathPanel.tsx';
import { TaskLines } from './TaskLines.tsx';
import { SheetAccount } from './SheetAccount.tsx';

interface TodayViewProps {
  today: Today;
  own: readonly OwnExercise[];
  onMinutes(minutes: number): void;
  onAim(aim: string): void;
  onFamily(family: string): void;
  onKeep(key: string): void;
  onNotToday(slot: string): void;
  onAllToday(): void;
  onPlanAnew(): void;
  onOpenGate(gate: Gate): void;
  /** Goes to a step of a path. */
  onStep(path: PathId, step: number): void;
}

const MINUTES = [5, 10, 15, 20, 30] as const;

export function TodayView(props: TodayViewProps) {
  const { today, own, onMinutes, onAim, onKeep, onNotToday, onAllToday, onPlanAnew } = props;
  const { t } = useTranslation();
  const { sheet, lines, horn, settings, aims, due, atRisk } = today;
  const open = lines.find((line) => isPlayable(line) && !sheet.done.includes(line.key));
  const begun = sheet.done.length > 0;
  return (
    <Box maxW="page">
      <RoomHeading
        keepsEnd
        help="today"
        title={t('today.title')}
        aside={[dateText(sheet.plannedAt, 'weekday'), t(`horn.${horn.id}`)].join(' · ')}
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
              plain={AIMS.filter((aim) => !pathOf(aim)).map((aim) => ({
                value: aim,
                label: t(`today.aims.${aim}`),
              }))}
              groups={[
                {
                  label: t('today.paths'),
                  options: PATH_IDS.map((id) => ({ value: id, label: t(`today.aims.${id}`) })),
                },
              ]}
            />
            {sheet.aim === 'family' && (
              <Select
                label={t('today.family')}
                value={sheet.family}
                onChange={props.onFamily}
                plain={FAMILIES.filter((family) => family.options(horn)).map(({ id }) => ({
                  value: id,
                  label: familyName(id, t),
                }))}
              />
            )}
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
      {aims.length > 0 && (
        <Box mb="3" color="muted" data-testid="aims">
          {aims.map(({ id, text, byDay }) => (
            <Box key={id}>
              {byDay === null
                ? t('today.ownAim', { text })
                : t('today.ownAimBy', { text, date: dateText(parseISO(byDay), 'day') })}
            </Box>
          ))}
        </Box>
      )}
      {due.map(({ kind, daysAgo }) => (
        <Box key={kind} mb="3" data-testid="due">
          {t(`today.due.${kind}`, { count: daysAgo })}{' '}
          <ActionLink look="plain" to="/case">
            {t('today.due.look')}
          </ActionLink>
        </Box>
      ))}
      {atRisk > 0 && (
        <Box mb="3" data-testid="at-risk">
          {t('today.atRisk', { count: atRisk })}{' '}
          <ActionLink look="plain" to="/case/keeping">
            {t('today.toKeeping')}
          </ActionLink>
        </Box>
      )}
      {sheet.aim === 'own' && !today.hasRoutine && (
        <Box mb="4" maxW="prose">
          {t('today.noRoutine')}{' '}
          <ActionLink look="plain" to="/shelf">
            {t('today.toShelf')}
          </ActionLink>
        </Box>
      )}
      <TaskLines horn={horn} naming={settings.naming} />
      {today.progress && <PathPanel progress={today.progress} onStep={props.onStep} />}
      {begun && <SheetAccount today={today} />}
      <Box as="ol" data-testid="sheet">
        {lines.map((line, i) => (
          <LineRow
            key={line.key}
            line={line}
            own={own.find(({ id }) => id === line.exerciseId)?.exercise ?? null}
            day={sheet.day}
            place={i + 1}
            horn={horn}
            settings={settings}
            isDone={sheet.done.includes(line.key)}
            isNext={line === open}
            isKept={sheet.kept.includes(line.key)}
            onKeep={() => onKeep(line.key)}
            onNotToday={() => onNotToday(line.familyAndZone)}
          />
        ))}
      </Box>
      <Flex mt="4" columnGap="5" wrap="wrap">
        <ActionLink look="plain" to="/today/why">
          {t('plan.link')}
        </ActionLink>
        <ActionLink look="plain" to={giveAddress(lines, horn)}>
          {t('task.giveSheet')}
        </ActionLink>
      </Flex>
      <NotYetLines shut={today.shut} onOpen={props.onOpenGate} />
    </Box>
  );
}
