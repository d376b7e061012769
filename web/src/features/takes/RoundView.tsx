import { familyOf } from '@inner-hum/core/exercise';
import { Box, Flex } from '@chakra-ui/react';
import { hornById, type NoteNaming } from '@inner-hum/core/horn';
import { judgeRound } from '@inner-hum/core/judge';
import { useTranslation } from 'react-i18next';
import type { RoundRecord, TakeRecord } from '../../storage/index.ts';
import { exerciseName, findingText } from '../../notation/index.ts';
import { ActionLink, RoomHeading } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { BeforeAfterTable } from './BeforeAfterTable.tsx';
import { TakeRow } from '../../listing/index.ts';

interface RoundViewProps {
  round: RoundRecord;
  takes: readonly TakeRecord[];
  naming: NoteNaming;
}

/** What a round came to: how much was as written, what recurs, the one thing to try; then phrase by phrase. */
export function RoundView({ round, takes, naming }: RoundViewProps) {
  const { t } = useTranslation();
  const { judged, asWritten, recurring, advice } = judgeRound(
    takes.flatMap(({ analysis }) => analysis ?? []),
    { exercise: round.exercise, horn: hornById(round.hornId) },
  );
  return (
    <Box maxW="page">
      <RoomHeading
        title={exerciseName(round.exercise, t)}
        aside={[
          t(`horn.${round.hornId}`),
          t('free.bpm', { tempo: round.exercise.tempoBpm }),
          dateText(round.startedAt, 'weekdayTime'),
          t('round.summary', { count: takes.length }),
        ].join(' · ')}
      />
      {judged > 0 ? (
        <Box
          as="p"
          fontFamily="heading"
          fontSize="large"
          lineHeight="1.35"
          maxW="page"
          data-testid="round-verdict"
        >
          {t('round.evenNotes', { even: asWritten, judged })}{' '}
          {recurring &&
            t('round.most', {
              count: recurring.count,
              finding: findingText(recurring.finding, naming, t),
            })}{' '}
          {t(`advice.${advice}`)}
        </Box>
      ) : (
        <Box>{t('round.empty')}</Box>
      )}
      <Flex gap="5" my="5">
        <ActionLink look="main" to={round.address}>
          {t('round.again')}
        </ActionLink>
        <ActionLink look="plain" to="/takes">
          {t('take.toList')}
        </ActionLink>
      </Flex>
      {familyOf(round.exercise)?.table === 'beforeAfter' && <BeforeAfterTable round={round} takes={takes} />}
      {takes.map((take) => (
        <TakeRow key={take.id} take={take} naming={naming} />
      ))}
    </Box>
  );
}
