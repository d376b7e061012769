import { Box, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { ActionButton, ActionLink, RoomHeading, UndoBar } from '../../ui/index.ts';
import { playedAt, type TakeRecord } from '../../storage/index.ts';
import { dateText } from '../../words/index.ts';
import { BringIn } from './BringIn.tsx';
import { SaveShown } from './SaveShown.tsx';
import { isFiltered, matches, type TakeFilter } from './takeFilter.ts';
import { TakeFilterBar } from './TakeFilterBar.tsx';
import { TakeRow } from '../../listing/index.ts';

interface TakesViewProps {
  takes: readonly TakeRecord[];
  naming: NoteNaming;
  filter: TakeFilter;
  /** How many rows are shown; the rest waits for `onMore`. */
  shown: number;
  /** The browser stores nothing: what is here goes with the page. */
  unstored: boolean;
  deletedId: string | null;
  onUndo(takeId: string): void;
  onFilter(filter: TakeFilter): void;
  onMore(): void;
}

export function TakesView(props: TakesViewProps) {
  const { takes, naming, filter, shown, deletedId, onUndo } = props;
  const { t } = useTranslation();
  const found = takes.filter((take) => matches(take, filter));
  return (
    <Box maxW="page">
      <RoomHeading
        help="takes"
        title={t('takes.title')}
        aside={
          isFiltered(filter)
            ? t('takes.countOf', { count: takes.length, found: found.length })
            : t('takes.count', { count: takes.length })
        }
      />
      {props.unstored && (
        <Box role="status" mb="4" bg="cane" px="4" py="2">
          {t('trouble.storageRefused')}
        </Box>
      )}
      {deletedId && <UndoBar text={t('takes.deleted')} onUndo={() => onUndo(deletedId)} />}
      {takes.length === 0 && (
        <Box maxW="prose">
          <Box mb="5">{t('takes.empty')}</Box>
          <ActionLink look="main" to="/stand/swell">
            {t('free.swell')}
          </ActionLink>
        </Box>
      )}
      <BringIn />
      {takes.length > 0 && (
        <TakeFilterBar takes={takes} naming={naming} filter={filter} onChange={props.onFilter} />
      )}
      {found.length > 0 && <SaveShown takes={found} />}
      {takes.length > 0 && found.length === 0 && <Box>{t('filter.nothing')}</Box>}
      {found.slice(0, shown).map((take, i) => (
        <Box key={take.id}>
          {(i === 0 || take.day !== found[i - 1].day) && (
            <Heading as="h2" fontSize="normal" fontFamily="body" fontWeight="700" pt="4" pb="2">
              {dateText(playedAt(take), 'weekday')}
            </Heading>
          )}
          <TakeRow take={take} naming={naming} />
        </Box>
      ))}
      {found.length > shown && (
        <Box pt="5">
          <ActionButton onClick={props.onMore}>
            {t('takes.more', { count: found.length - shown })}
          </ActionButton>
        </Box>
      )}
    </Box>
  );
}
