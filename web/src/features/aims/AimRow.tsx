import { Box, Flex, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import { parseISO } from 'date-fns';
import { useTranslation } from 'react-i18next';
import { ReportButtons } from '../../listing/index.ts';
import { measureText, noteText } from '../../notation/index.ts';
import { dayOf } from '../../storage/index.ts';
import { ActionButton } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { aimReport } from './aimReport.ts';
import { distanceText } from './aimText.ts';
import type { AimProgress } from './useAims.ts';
import { WeeksPicture } from './WeeksPicture.tsx';

interface AimRowProps {
  each: AimProgress;
  naming: NoteNaming;
  onFinish(id: string, isDone: boolean): void;
}

/** One aim: what it is, how far it is away, and its weeks. */
export function AimRow({ each, naming, onFinish }: AimRowProps) {
  const { t } = useTranslation();
  const { aim, progress } = each;
  const { scope } = aim.goal;
  const isDone = aim.doneAt !== null;
  const place =
    scope.midi !== null
      ? noteText(scope.midi, naming)
      : scope.zone !== null
        ? t(`today.zone.${scope.zone}`)
        : t('trend.anywhere');
  return (
    <Flex
      gap="6"
      wrap="wrap"
      py="4"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
      color={isDone ? 'muted' : 'ink'}
    >
      <Box flex="1" minW="column">
        <Heading as="h2" fontSize="large">
          {aim.text}
        </Heading>
        <Box color="muted" fontSize="small" mb="2">
          {[
            t(`trend.measure.${aim.goal.measure}`),
            place,
            t(aim.goal.wants === 'less' ? 'aim.atMostOf' : 'aim.atLeastOf', {
              target: measureText(aim.goal.target, aim.goal.measure, t),
            }),
            ...(aim.byDay ? [t('aim.byDay', { date: dateText(parseISO(aim.byDay), 'dayYear') })] : []),
            ...(aim.doneAt ? [t('aim.putAway', { date: dateText(aim.doneAt, 'day') })] : []),
          ].join(' · ')}
        </Box>
        <Box maxW="prose">{distanceText(each, t)}</Box>
        <Flex gap="4" wrap="wrap">
          <ActionButton look="plain" onClick={() => onFinish(aim.id, !isDone)}>
            {t(isDone ? 'aim.takeUp' : 'aim.putItAway')}
          </ActionButton>
          <ReportButtons
            fileName={t('report.aimFile', { date: dayOf(aim.createdAt) })}
            make={() => Promise.resolve(aimReport(each, t))}
            hasSound={false}
          />
        </Flex>
      </Box>
      {progress.weeks.length > 1 && <WeeksPicture goal={aim.goal} progress={progress} />}
    </Flex>
  );
}
