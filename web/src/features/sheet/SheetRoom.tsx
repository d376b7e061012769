import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { type AskedFor, playersHorn, readAskedFor } from '../../addresses/index.ts';
import { listOwnExercises, readSettings, type SettingsRecord } from '../../storage/index.ts';
import {
  ActionLink,
  type Paper,
  PRINTED_WIDTH_PX,
  PrintedPage,
  readPaper,
  useSearch,
} from '../../ui/index.ts';
import { SheetPieceView } from './SheetPieceView.tsx';

/** Exercises on paper. What is printed is in the address. */
export function Component() {
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(listOwnExercises);
  const pieces = useMemo(
    () => (settings && own ? readAskedFor(search, own, playersHorn(settings)) : null),
    [search, own, settings],
  );
  if (!settings || !pieces) return null;
  return (
    <SheetView
      pieces={pieces}
      paper={readPaper(search)}
      settings={settings}
      onPaper={(paper) => {
        const next = new URLSearchParams(search);
        next.set('paper', paper);
        ask(next);
      }}
    />
  );
}

interface SheetViewProps {
  pieces: readonly AskedFor[];
  paper: Paper;
  settings: SettingsRecord;
  onPaper(paper: Paper): void;
}

function SheetView({ pieces, paper, settings, onPaper }: SheetViewProps) {
  const { t } = useTranslation();
  return (
    <PrintedPage
      title={t('sheet.title')}
      aside={t('sheet.count', { count: pieces.length })}
      paper={paper}
      onPaper={onPaper}
      back={
        <ActionLink look="plain" to="/shelf">
          {t('shelf.back')}
        </ActionLink>
      }
      {...(pieces.length === 0 && { empty: t('sheet.empty') })}
    >
      {pieces.map((piece) => (
        <SheetPieceView key={piece.of} piece={piece} settings={settings} width={PRINTED_WIDTH_PX[paper]} />
      ))}
    </PrintedPage>
  );
}
