import { Box, chakra, Flex } from '@chakra-ui/react';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import type { SettingsRecord, TakeRecord } from '../../storage/index.ts';
import { ActionButton, ActionLink, exerciseName, RoomHeading, UndoBar } from '../../ui/index.ts';
import { ImportTold } from './ImportTold.tsx';
import type { ImportAnswer } from './importExercises.ts';
import type { ShelfEntry } from './shelfEntries.ts';
import { isWanted, type ShelfFilter } from './shelfFilter.ts';
import { ShelfFilterBar } from './ShelfFilterBar.tsx';
import { ShelfRow } from './ShelfRow.tsx';

interface ShelfViewProps {
  entries: readonly ShelfEntry[];
  last: ReadonlyMap<string, TakeRecord>;
  settings: SettingsRecord;
  filter: ShelfFilter;
  answer: ImportAnswer | null;
  /** The exercise just taken off, while it can come back. */
  deletedName: string | null;
  hasOwn: boolean;
  onFilter(filter: ShelfFilter): void;
  onStar(key: string): void;
  onNew(): void;
  onImport(file: File): void;
  onExport(): void;
  onUndo(): void;
}

export function ShelfView(props: ShelfViewProps) {
  const { entries, last, settings, filter, answer, deletedName } = props;
  const { t } = useTranslation();
  const file = useRef<HTMLInputElement>(null);
  const told = ({ familyId, written }: ShelfEntry) =>
    familyId
      ? `${t(`familyName.${familyId}`)} ${t(`familyPurpose.${familyId}`)}`
      : written
        ? exerciseName(written.exercise, t)
        : '';
  const found = entries.filter((entry) => isWanted(entry, filter, settings.favourites, told(entry)));
  const sheet = new URLSearchParams(found.filter(({ written }) => written).map(({ key }) => ['of', key]));
  return (
    <Box maxW="page">
      <RoomHeading
        title={t('shelf.title')}
        aside={
          found.length < entries.length
            ? t('shelf.countOf', { count: entries.length, found: found.length })
            : t('shelf.count', { count: entries.length })
        }
        end={
          <Flex gap="4" wrap="wrap">
            <ActionButton onClick={props.onNew}>{t('shelf.new')}</ActionButton>
            <ActionButton look="plain" onClick={() => file.current?.click()}>
              {t('shelf.import')}
            </ActionButton>
            {props.hasOwn && (
              <ActionButton look="plain" onClick={props.onExport}>
                {t('shelf.export')}
              </ActionButton>
            )}
            {found.length > 0 && (
              <ActionLink look="plain" to={`/shelf/sheet?${sheet.toString()}`}>
                {t('shelf.print')}
              </ActionLink>
            )}
            <chakra.input
              ref={file}
              type="file"
              accept=".json,application/json"
              display="none"
              aria-label={t('shelf.import')}
              onChange={(event) => {
                const [chosen] = event.target.files ?? [];
                if (chosen) props.onImport(chosen);
                // The same file may be brought in again.
                event.target.value = '';
              }}
            />
          </Flex>
        }
      />
      {deletedName !== null && (
        <UndoBar text={t('shelf.deleted', { name: deletedName })} onUndo={props.onUndo} />
      )}
      {answer && <ImportTold answer={answer} />}
      <ShelfFilterBar filter={filter} onChange={props.onFilter} />
      {found.length === 0 && <Box maxW="prose">{t(`shelf.none.${filter.shown}`)}</Box>}
      <Box as="ul">
        {found.map((entry) => (
          <ShelfRow
            key={entry.key}
            entry={entry}
            last={last.get(entry.key) ?? null}
            settings={settings}
            isStarred={settings.favourites.includes(entry.key)}
            onStar={() => props.onStar(entry.key)}
          />
        ))}
      </Box>
    </Box>
  );
}
