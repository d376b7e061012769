import { Box, chakra, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { TakeRecord } from '../../storage/index.ts';
import { exerciseName } from '../../notation/index.ts';
import { dateText } from '../../words/index.ts';

const LineLink = chakra(Link);

/** The takes of a round as one line. */
export function RoundLine({ id, takes }: { id: string; takes: readonly TakeRecord[] }) {
  const { t } = useTranslation();
  const [{ context, startedAt, hornId }] = takes;
  const sum = (name: 'judged' | 'asWritten') =>
    takes.reduce((all, { analysis }) => all + (analysis?.verdict[name] ?? 0), 0);
  return (
    <LineLink
      to={`/takes/round/${id}`}
      display="block"
      py="3"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
    >
      <Flex gap="5" alignItems="baseline" wrap="wrap">
        <Box flex="1">
          <Box fontFamily="heading" fontSize="large">
            {context && exerciseName(context.exercise, t)}
          </Box>
          <Box color="muted">
            {t('logbook.round', { count: takes.length, asWritten: sum('asWritten'), judged: sum('judged') })}
          </Box>
        </Box>
        <Box color="muted" fontSize="small">
          {dateText(startedAt, 'time')} · {t(`horn.${hornId}`)}
        </Box>
      </Flex>
    </LineLink>
  );
}
