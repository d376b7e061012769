import { useTranslation } from 'react-i18next';
import type { SettingsRecord } from '../../storage/index.ts';
import { ActionLink, PrintedPage, PRINTED_WIDTH_PX, type Paper } from '../../ui/index.ts';
import type { AskedFor } from '../../addresses/index.ts';
import { SheetPieceView } from './SheetPieceView.tsx';

interface SheetViewProps {
  pieces: readonly AskedFor[];
  paper: Paper;
  settings: SettingsRecord;
  onPaper(paper: Paper): void;
}

export function SheetView({ pieces, paper, settings, onPaper }: SheetViewProps) {
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
