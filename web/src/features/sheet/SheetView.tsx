import { Box, Flex } from '@chakra-ui/react';
import { Global } from '@emotion/react';
import { useTranslation } from 'react-i18next';
import type { SettingsRecord } from '../../storage/index.ts';
import { ActionButton, ActionLink, Choice, RoomHeading } from '../../ui/index.ts';
import { PAPERS, PRINTED_WIDTH_PX, type Paper, type SheetPiece } from './readSheet.ts';
import { SheetPieceView } from './SheetPieceView.tsx';

interface SheetViewProps {
  pieces: readonly SheetPiece[];
  paper: Paper;
  settings: SettingsRecord;
  onPaper(paper: Paper): void;
}

const PAGE_RULE: Record<Paper, string> = { a4: 'A4', letter: 'letter' };

export function SheetView({ pieces, paper, settings, onPaper }: SheetViewProps) {
  const { t } = useTranslation();
  return (
    <Box as="main" px={{ base: '4', md: '8' }} py="6" _print={{ p: '0' }}>
      <Global styles={{ '@page': { size: PAGE_RULE[paper], margin: '15mm' } }} />
      <Box _print={{ display: 'none' }}>
        <RoomHeading
          title={t('sheet.title')}
          aside={t('sheet.count', { count: pieces.length })}
          end={
            <Flex gap="5" alignItems="center" wrap="wrap">
              <Choice
                legend={t('sheet.paper')}
                hideLegend
                value={paper}
                onChange={onPaper}
                options={PAPERS.map((value) => ({ value, label: t(`paper.${value}`) }))}
              />
              <ActionButton look="main" disabled={pieces.length === 0} onClick={() => window.print()}>
                {t('shelf.printOne')}
              </ActionButton>
              <ActionLink look="plain" to="/shelf">
                {t('shelf.back')}
              </ActionLink>
            </Flex>
          }
        />
        {pieces.length === 0 && <Box>{t('sheet.empty')}</Box>}
      </Box>
      {pieces.length > 0 && (
        <Box
          bg="sheet"
          color="print"
          w="fit-content"
          maxW="full"
          mx="auto"
          px={{ base: '4', md: '9' }}
          py="8"
          overflowX="auto"
          role="region"
          aria-label={t('sheet.page')}
          // On a small screen it is scrolled, by keys as well.
          tabIndex={0}
          _print={{ p: '0', overflow: 'visible' }}
        >
          <Box style={{ width: PRINTED_WIDTH_PX[paper] }}>
            {pieces.map((piece) => (
              <SheetPieceView
                key={piece.key}
                piece={piece}
                settings={settings}
                width={PRINTED_WIDTH_PX[paper]}
              />
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}
