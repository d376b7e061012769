import { Box, Flex } from '@chakra-ui/react';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { pageOfElement } from '../../listing/index.ts';
import { FingeringDiagram, NoteGlyph } from '../../notation/index.ts';
import { ActionButton, ActionLink, downloadFile, PrintedPage, readPaper, useSearch } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { pitchText, speaksText } from './highText.ts';
import { type HighChart, useHighChart } from './useHighChart.ts';

/** What is printed stands on white, whatever the light. */
const PAPER = 'white';

/** The chart of high notes on one page. */
export function Component() {
  const { t, i18n } = useTranslation();
  const [search, ask] = useSearch();
  const chart = useHighChart();
  const sheet = useRef<HTMLDivElement | null>(null);
  if (!chart) return null;
  const { settings, mouthpiece } = chart;
  function savePage() {
    if (!sheet.current) return;
    const page = pageOfElement(sheet.current, t('high.title'), PAPER, i18n.language);
    downloadFile(`high-notes-${settings.hornId}.html`, new Blob([page]), 'text/html');
  }
  return (
    <PrintedPage
      title={t('high.title')}
      aside={[t(`horn.${settings.hornId}`), mouthpiece.name || t('high.noMouthpiece')].join(' · ')}
      paper={readPaper(search)}
      onPaper={(paper) => ask({ paper })}
      back={
        <>
          <ActionButton look="plain" onClick={savePage}>
            {t('map.savePage')}
          </ActionButton>
          <ActionLink look="plain" to="/high">
            {t('high.back')}
          </ActionLink>
        </>
      }
    >
      <Box ref={sheet}>
        <HighSheetView chart={chart} />
      </Box>
    </PrintedPage>
  );
}

const DIAGRAM_PX = 66;
/** So many stand beside each other on paper. */
const MOST = 5;

/** Every note with its fingerings and figures, the ones settled on framed; all of it on one page. */
function HighSheetView({ chart: { settings, mouthpiece, notes } }: { chart: HighChart }) {
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
