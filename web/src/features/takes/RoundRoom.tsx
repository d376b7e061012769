import { Box, Flex } from '@chakra-ui/react';
import { familyOf } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useLiveQuery } from 'dexie-react-hooks';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { RoundHeadline, TakeRow } from '../../listing/index.ts';
import { exerciseName } from '../../notation/index.ts';
import {
  ownAddress,
  readRound,
  readRoundTakes,
  readSettings,
  type RoundRecord,
  type TakeRecord,
} from '../../storage/index.ts';
import { ActionLink, RoomHeading } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { BeforeAfterTable } from './BeforeAfterTable.tsx';
import { EveryNoteTable } from './EveryNoteTable.tsx';

/** A round with its phrases, as they were played. */
export function Component() {
  const { t } = useTranslation();
  const { roundId = '' } = useParams();
  const settings = useLiveQuery(readSettings);
  const round = useLiveQuery(() => readRound(roundId), [roundId]);
  const takes = useLiveQuery(() => readRoundTakes(roundId), [roundId]);
  if (!settings || round === undefined || !takes) return null;
  if (round === null || round.id !== roundId)
    return (
      <Box maxW="prose">
        <RoomHeading title={t('round.missing')} />
        <ActionLink to="/takes">{t('take.toList')}</ActionLink>
      </Box>
    );
  return <RoundView key={roundId} round={round} takes={takes} naming={settings.naming} />;
}

interface RoundViewProps {
  round: RoundRecord;
  takes: readonly TakeRecord[];
  naming: NoteNaming;
}

/** What a round came to: the answer to what was asked, the one thing to try; then phrase by phrase. */
function RoundView({ round, takes, naming }: RoundViewProps) {
  const { t } = useTranslation();
  const isJudged = takes.some(({ analysis }) => analysis !== null);
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
      {isJudged ? (
        <RoundHeadline round={round} takes={takes} naming={naming} />
      ) : (
        <Box>{t('round.empty')}</Box>
      )}
      <Flex gap="5" my="5">
        <ActionLink look="main" to={ownAddress(round.address) ?? '/shelf'}>
          {t('round.again')}
        </ActionLink>
        <ActionLink look="plain" to="/takes">
          {t('take.toList')}
        </ActionLink>
      </Flex>
      {familyOf(round.exercise)?.table === 'beforeAfter' && <BeforeAfterTable round={round} takes={takes} />}
      {familyOf(round.exercise)?.table === 'everyNote' && <EveryNoteTable takes={takes} naming={naming} />}
      {takes.map((take) => (
        <TakeRow key={take.id} take={take} naming={naming} />
      ))}
    </Box>
  );
}
