import { Box, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useLiveQuery } from 'dexie-react-hooks';
import { useDeferredValue, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSelector } from 'react-redux';
import { ShownRow, TakeRow } from '../../listing/index.ts';
import type { SessionStore } from '../../session/index.ts';
import { playedAt, readSettings, readTake, undoDelete } from '../../storage/index.ts';
import { ActionButton, ActionLink, RoomHeading, UndoBar } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { BringIn } from './BringIn.tsx';
import { SaveShown } from './SaveShown.tsx';
import { isFiltered, type TakeFilter } from './takeFilter.ts';
import { TakeFilterBar } from './TakeFilterBar.tsx';
import { type FoundTakes, useFoundTakes } from './useFoundTakes.ts';
import { useTakeFilter } from './useTakeFilter.ts';

/** Rows that are drawn at a time: each has a ribbon. */
const PAGE = 40;

/** Kept takes, newest first, as the address filters them; the one just deleted can come back. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const { filter, change, deletedId } = useTakeFilter();
  const [shown, setShown] = useState(PAGE);
  const takes = useFoundTakes(filter, shown);
  const unstored = useSelector((store: SessionStore) => store.session.troubles.includes('storageRefused'));
  const justDeleted = useLiveQuery(() => readTake(deletedId), [deletedId]);
  if (!takes || !settings) return null;
  return (
    <TakesView
      takes={takes}
      naming={settings.naming}
      filter={filter}
      unstored={unstored}
      deletedId={justDeleted && justDeleted.deletedAt !== null ? justDeleted.id : null}
      onUndo={(id) => void undoDelete(id)}
      onFilter={(next) => {
        setShown(PAGE);
        change(next);
      }}
      onMore={() => setShown((rows) => rows + PAGE)}
    />
  );
}

interface TakesViewProps {
  takes: FoundTakes;
  naming: NoteNaming;
  filter: TakeFilter;
  /** The browser stores nothing: what is here goes with the page. */
  unstored: boolean;
  deletedId: string | null;
  onUndo(takeId: string): void;
  onFilter(filter: TakeFilter): void;
  onMore(): void;
}

/** What fits on a page stands at once, and the rest a moment later: each row has a ribbon. */
const AT_ONCE = 10;

function TakesView(props: TakesViewProps) {
  const { takes, naming, filter, deletedId, onUndo } = props;
  const { count, found, shown, choices } = takes;
  const { t } = useTranslation();
  const drawn = useDeferredValue(shown, shown.slice(0, AT_ONCE));
  return (
    <Box maxW="page">
      <RoomHeading
        help="takes"
        title={t('takes.title')}
        aside={
          isFiltered(filter) ? t('takes.countOf', { count, found }) : count > 0 && t('takes.count', { count })
        }
        filters={
          <>
            {count > 0 && (
              <TakeFilterBar choices={choices} naming={naming} filter={filter} onChange={props.onFilter} />
            )}
            {found > 0 && <SaveShown count={found} filter={filter} />}
          </>
        }
        isFiltered={isFiltered(filter) || count === 0}
      />
      <BringIn />
      {props.unstored && (
        <Box role="status" mb="4" bg="cane" px="4" py="2">
          {t('trouble.storageRefused')}
        </Box>
      )}
      {deletedId && <UndoBar key={deletedId} text={t('takes.deleted')} onUndo={() => onUndo(deletedId)} />}
      {count === 0 && (
        <Box maxW="prose">
          <Box mb="5">{t('takes.empty')}</Box>
          <ActionLink look="main" to="/stand/swell">
            {t('free.swell')}
          </ActionLink>
        </Box>
      )}
      {count > 0 && found === 0 && <Box>{t('filter.nothing')}</Box>}
      {drawn.map((take, i) => (
        <Box key={take.id}>
          {(i === 0 || take.day !== drawn[i - 1].day) && (
            <Heading as="h2" fontSize="normal" fontFamily="body" fontWeight="700" pt="4" pb="2">
              {dateText(playedAt(take), 'weekday')}
            </Heading>
          )}
          <ShownRow table="takes" id={take.id}>
            <TakeRow take={take} naming={naming} />
          </ShownRow>
        </Box>
      ))}
      {found > shown.length && (
        <Box pt="5">
          <ActionButton onClick={props.onMore}>
            {t('takes.more', { count: found - shown.length })}
          </ActionButton>
        </Box>
      )}
    </Box>
  );
}
