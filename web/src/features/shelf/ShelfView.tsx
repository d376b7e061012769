import { Box, Flex } from '@chakra-ui/react';
import { lazy, Suspense, useDeferredValue, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Exercise } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import type { ReadScore } from '@inner-hum/core/scores';
import type { SettingsRecord, TakeRecord } from '../../storage/index.ts';
import { ActionButton, ActionLink, FileButton, RoomHeading, ShareButton, UndoBar } from '../../ui/index.ts';
import { EXERCISES_NAME, EXERCISES_TYPE } from '../../files/index.ts';
import { ImportTold } from './ImportTold.tsx';
import { entryTexts, ShownRow } from '../../listing/index.ts';
import type { ImportAnswered } from './importExercises.ts';
import type { ShelfEntry } from '../../listing/index.ts';
import { wantedEntries, type ShelfFilter } from './shelfFilter.ts';
import { ShelfFilterBar } from './ShelfFilterBar.tsx';
import { ShelfRow } from './ShelfRow.tsx';

interface ShelfViewProps {
  entries: readonly ShelfEntry[];
  last: ReadonlyMap<string, TakeRecord>;
  settings: SettingsRecord;
  filter: ShelfFilter;
  answer: ImportAnswered | null;
  /** The exercise just taken off, while it can come back. */
  deletedName: string | null;
  hasOwn: boolean;
  /** A score that was brought in and is not yet an exercise; another one has another key. */
  score: ReadScore | null;
  scoreKey: number;
  horn: Horn;
  onFilter(filter: ShelfFilter): void;
  onStar(key: string): void;
  onNew(): void;
  onImport(file: File): void;
  onExport(): void;
  toShare(): Blob;
  onKeepScore(exercise: Exercise, to: 'shelf' | 'routes'): void;
  onLeaveScore(): void;
  onUndo(): void;
}

/** Reads scores for other programs; large, and seldom wanted. */
const ScorePanel = lazy(() => import('./ScorePanel.tsx'));
/** What fits on a page stands at once, and the rest a moment later. */
const AT_ONCE = 8;
const KINDS = '.json,.musicxml,.xml,.mxl,.mid,.midi';

export function ShelfView(props: ShelfViewProps) {
  const { entries, last, settings, filter, answer, deletedName } = props;
  const { t } = useTranslation();
  const found = useMemo(
    () =>
      wantedEntries(entries, filter, settings.favourites, (entry) => entryTexts(entry, settings.naming, t)),
    [entries, filter, settings.favourites, settings.naming, t],
  );
  const drawn = useDeferredValue(found, found.slice(0, AT_ONCE));
  const sheet = new URLSearchParams(found.filter(({ written }) => written).map(({ key }) => ['of', key]));
  return (
    <Box maxW="page">
      <RoomHeading
        help="shelf"
        title={t('shelf.title')}
        aside={
          found.length < entries.length
            ? t('shelf.countOf', { count: entries.length, found: found.length })
            : t('shelf.count', { count: entries.length })
        }
        end={
          <Flex gap="4" wrap="wrap">
            <ActionButton onClick={props.onNew}>{t('shelf.new')}</ActionButton>
            <FileButton accept={KINDS} onFiles={([file]) => props.onImport(file)}>
              {t('shelf.import')}
            </FileButton>
            {props.hasOwn && (
              <>
                <ActionButton look="plain" onClick={props.onExport}>
                  {t('shelf.export')}
                </ActionButton>
                <ShareButton name={EXERCISES_NAME} type={EXERCISES_TYPE} make={props.toShare} />
              </>
            )}
            {found.length > 0 && (
              <ActionLink look="plain" to={`/shelf/sheet?${sheet.toString()}`}>
                {t('shelf.print')}
              </ActionLink>
            )}
          </Flex>
        }
        filters={<ShelfFilterBar filter={filter} onChange={props.onFilter} />}
        isFiltered={found.length < entries.length}
      />
      {deletedName !== null && (
        <UndoBar text={t('shelf.deleted', { name: deletedName })} onUndo={props.onUndo} />
      )}
      {answer && <ImportTold answer={answer} />}
      {props.score && (
        <Suspense fallback={null}>
          <ScorePanel
            key={props.scoreKey}
            score={props.score}
            horn={props.horn}
            settings={settings}
            onKeep={props.onKeepScore}
            onLeave={props.onLeaveScore}
          />
        </Suspense>
      )}
      {found.length === 0 && <Box maxW="prose">{t(`shelf.none.${filter.shown}`)}</Box>}
      <Box as="ul">
        {drawn.map((entry) => (
          <ShownRow key={entry.key} table="exercises" id={entry.ownId}>
            <ShelfRow
              entry={entry}
              last={last.get(entry.key) ?? null}
              settings={settings}
              isStarred={settings.favourites.includes(entry.key)}
              onStar={() => props.onStar(entry.key)}
            />
          </ShownRow>
        ))}
      </Box>
    </Box>
  );
}
