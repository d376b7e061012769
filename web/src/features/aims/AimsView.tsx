import { dayOf } from '../../storage/index.ts';
import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Horn } from '@inner-hum/core/horn';
import { parseISO } from 'date-fns';
import { useTranslation } from 'react-i18next';
import { measureText, noteText } from '../../notation/index.ts';
import { ActionButton, LogbookLinks, RoomHeading } from '../../ui/index.ts';
import { ReportButtons } from '../../listing/index.ts';
import { dateText } from '../../words/index.ts';
import { aimReport } from './aimReport.ts';
import { distanceText } from './aimText.ts';
import { NewAim, type AimDraft } from './NewAim.tsx';
import type { AimProgress, Aims } from './useAims.ts';
import { WeeksPicture } from './WeeksPicture.tsx';

interface AimsViewProps {
  aims: Aims;
  horn: Horn;
  onAdd(aim: AimDraft): void;
  onFinish(id: string, isDone: boolean): void;
}

export function AimsView({ aims: { settings, aims }, horn, onAdd, onFinish }: AimsViewProps) {
  const { t } = useTranslation();
  const placeOf = ({ aim: { goal } }: AimProgress) =>
    goal.scope.midi !== null
      ? noteText(goal.scope.midi, settings.naming)
      : goal.scope.zone !== null
        ? t(`today.zone.${goal.scope.zone}`)
        : t('trend.anywhere');
  return (
    <Box maxW="page">
      <RoomHeading title={t('aim.title')} help="aims" aside={t(`horn.${horn.id}`)} end={<LogbookLinks />} />
      <Box maxW="prose" mb="4">
        {t('aim.how')}
      </Box>
      <NewAim horn={horn} settings={settings} onAdd={onAdd} />
      <Box as="ul" data-testid="aims">
        {aims.map((each) => {
          const { aim, progress } = each;
          const isDone = aim.doneAt !== null;
          return (
            <Flex
              as="li"
              key={aim.id}
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
                    placeOf(each),
                    t(aim.goal.wants === 'less' ? 'aim.atMostOf' : 'aim.atLeastOf', {
                      target: measureText(aim.goal.target, aim.goal.measure, t),
                    }),
                    ...(aim.byDay
                      ? [t('aim.byDay', { date: dateText(parseISO(aim.byDay), 'dayYear') })]
                      : []),
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
        })}
      </Box>
    </Box>
  );
}
