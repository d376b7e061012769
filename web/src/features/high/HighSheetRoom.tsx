import { Box } from '@chakra-ui/react';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { pageOfElement } from '../../listing/index.ts';
import { ActionButton, ActionLink, downloadFile, PrintedPage, readPaper, useSearch } from '../../ui/index.ts';
import { HighSheetView } from './HighSheetView.tsx';
import { useHighChart } from './useHighChart.ts';

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
