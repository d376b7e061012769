import { Box, chakra } from '@chakra-ui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { RibbonPicture } from '../ribbon/index.ts';
import { readTakeFrames, type TakeRecord } from '../storage/index.ts';
import { drawTake } from './takeInk.ts';
import { TakeTitle } from './takeTitle.tsx';
import { useHeadline } from './useHeadline.ts';

const RowLink = chakra(Link);

/** A take in the list: its ribbon, what it was, what stood out. */
export function TakeRow({ take, naming }: { take: TakeRecord; naming: NoteNaming }) {
  const { t } = useTranslation();
  const headline = useHeadline([take], naming);
  const columns = useLiveQuery(() => readTakeFrames(take.id), [take.id]);
  const drawing = useMemo(() => (columns ? drawTake(take, columns) : null), [take, columns]);
  return (
    <RowLink
      to={`/takes/${take.id}`}
      display="grid"
      gridTemplateColumns={{ base: '1fr 4fr', md: '1fr 5fr auto' }}
      gap={{ base: '4', md: '6' }}
      alignItems="center"
      py="3"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
    >
      <Box h="touch">
        {drawing && (
          <RibbonPicture
            ink={drawing.ink}
            fromSeconds={drawing.fromSeconds}
            toSeconds={drawing.toSeconds}
            height={44}
            small
            label={t('takes.ribbon')}
          />
        )}
      </Box>
      <Box minW="0">
        <Box fontFamily="heading" fontSize="large">
          <TakeTitle take={take} naming={naming} />
        </Box>
        <Box color="muted">
          {take.analysis ? headline : t('takes.notJudged')}
          {take.playerNote && ` – ${take.playerNote}`}
        </Box>
      </Box>
      <Box color="muted" fontSize="small" gridColumn={{ base: '2', md: 'auto' }}>
        {take.clock} · {t(`horn.${take.hornId}`)}
      </Box>
    </RowLink>
  );
}
