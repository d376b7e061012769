import { Box, Flex } from '@chakra-ui/react';
import { hornById, type NoteNaming } from '@inner-hum/core/horn';
import { judgeRound, type Advice } from '@inner-hum/core/judge';
import { useLiveQuery } from 'dexie-react-hooks';
import { useTranslation } from 'react-i18next';
import { readRound, readRoundTakes, type RoundRecord, type TakeRecord } from '../storage/index.ts';
import { useHeadline } from './useHeadline.ts';

interface HeadlineWordsProps {
  takes: readonly TakeRecord[];
  naming: NoteNaming;
  /** The one thing to try. */
  advice: Advice;
  /** The round that they are; null: a take by itself. */
  round: RoundRecord | null;
}

/** What was asked is answered first, large; beneath it the one thing to try, and the band it was judged by. */
function HeadlineWords({ takes, naming, advice, round }: HeadlineWordsProps) {
  const { t } = useTranslation();
  const headline = useHeadline(takes, naming, round);
  const band = takes.at(-1)?.analysis?.verdict.band;
  return (
    <Box>
      <Box
        as="p"
        fontFamily="heading"
        fontSize={{ base: 'large', md: 'title' }}
        lineHeight="1.25"
        maxW="page"
        data-testid="headline"
      >
        {headline}
      </Box>
      <Flex columnGap="4" wrap="wrap" alignItems="baseline" mt="1">
        <Box as="p" fontSize="medium" data-testid="advice">
          {t(`advice.${advice}`)}
        </Box>
        {band && (
          <Box as="p" color="muted" fontSize="small">
            {t('verdict.band', { cents: band.pitchCents, db: band.swellErrorDb })}
          </Box>
        )}
      </Flex>
    </Box>
  );
}

/** The answer of one take; nothing where it was not judged. */
export function TakeHeadline({ take, naming }: { take: TakeRecord; naming: NoteNaming }) {
  const advice = take.analysis?.verdict.advice;
  return advice && <HeadlineWords takes={[take]} naming={naming} advice={advice} round={null} />;
}

interface RoundHeadlineProps {
  round: RoundRecord;
  takes: readonly TakeRecord[];
  naming: NoteNaming;
}

/** The answer of a whole round, by those of its takes that were judged; nothing where none was. */
export function RoundHeadline({ round, takes, naming }: RoundHeadlineProps) {
  const judged = takes.filter(({ analysis }) => analysis !== null);
  if (judged.length === 0) return null;
  const { advice } = judgeRound(
    judged.flatMap(({ analysis }) => analysis ?? []),
    { exercise: round.exercise, horn: hornById(round.hornId) },
  );
  return <HeadlineWords takes={judged} naming={naming} advice={advice} round={round} />;
}

interface EndedRoundProps {
  roundId: string;
  /** Its last take, which is told of alone where the others are not known (yet). */
  take: TakeRecord;
  naming: NoteNaming;
}

/** The answer of a round that has just ended, as far as it is stored. */
export function EndedRoundHeadline({ roundId, take, naming }: EndedRoundProps) {
  const found = useLiveQuery(
    async () => ({ round: await readRound(roundId), takes: await readRoundTakes(roundId) }),
    [roundId],
  );
  return found?.round && found.takes.some(({ analysis }) => analysis !== null) ? (
    <RoundHeadline round={found.round} takes={found.takes} naming={naming} />
  ) : (
    <TakeHeadline take={take} naming={naming} />
  );
}
