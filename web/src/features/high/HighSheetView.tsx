import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { FingeringDiagram, NoteGlyph } from '../../notation/index.ts';
import { dateText } from '../../words/index.ts';
import { pitchText, speaksText } from './highText.ts';
import type { HighChart } from './useHighChart.ts';

const DIAGRAM_PX = 66;
/** So many stand beside each other on paper. */
const MOST = 5;

/** Every note with its fingerings and figures, the ones settled on framed; all of it on one page. */
export function HighSheetView({ chart: { settings, mouthpiece, notes } }: { chart: HighChart }) {
  const { t } = useTranslation();
  return (
    <Box data-testid="high-sheet">
      <Flex justifyContent="space-between" alignItems="baseline" mb="1">
        <Box fontFamily="heading" fontSize="large">
          {t('high.title')}, {[t(`horn.${settings.hornId}`), mouthpiece.name].filter(Boolean).join(' · ')}
        </Box>
        <Box fontSize="small">{dateText(Date.now(), 'dayYear')}</Box>
      </Flex>
      {notes.map(({ writtenMidi, fingerings }) => (
        <Flex
          key={writtenMidi}
          gap="3"
          py="1"
          alignItems="center"
          borderTopWidth="1px"
          borderTopStyle="solid"
          borderTopColor="line"
        >
          <Box fontFamily="heading" fontSize="large" w="routeStep" flexShrink="0">
            <NoteGlyph midi={writtenMidi} naming={settings.naming} octave />
          </Box>
          {fingerings.slice(0, MOST).map(({ word, figures, preferred, isStart }) => (
            <Flex
              key={word}
              gap="1"
              alignItems="center"
              w="field"
              borderWidth="1px"
              borderStyle="solid"
              borderColor={preferred ? 'print' : 'transparent'}
              px="1"
            >
              <FingeringDiagram fingering={figures.fingering} height={DIAGRAM_PX} />
              <Box fontSize="tiny" lineHeight="1.25">
                {isStart ? t('high.startHere') : speaksText(figures, t)}
                <br />
                {pitchText(figures, t)}
              </Box>
            </Flex>
          ))}
        </Flex>
      ))}
      <Box fontSize="small" mt="2">
        {t('high.sheetLegend')}
      </Box>
    </Box>
  );
}
