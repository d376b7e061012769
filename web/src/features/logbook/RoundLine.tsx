import { Box, chakra, Flex } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { TakeRecord } from '../../storage/index.ts';
import { useHeadline } from '../../listing/index.ts';
import { exerciseName } from '../../notation/index.ts';
import { dateText } from '../../words/index.ts';

const LineLink = chakra(Link);

interface RoundLineProps {
  id: string;
  takes: readonly TakeRecord[];
  naming: NoteNaming;
}

/** The takes of a round as one line. */
export function RoundLine({ id, takes, naming }: RoundLineProps) {
  const { t } = useTranslation();
  const [{ context, startedAt, hornId }] = takes;
  const headline = useHeadline(takes, naming);
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
          <Box color="muted">{headline}</Box>
        </Box>
        <Box color="muted" fontSize="small">
          {dateText(startedAt, 'time')} · {t(`horn.${hornId}`)}
        </Box>
      </Flex>
    </LineLink>
  );
}
