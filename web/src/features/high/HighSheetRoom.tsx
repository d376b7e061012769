import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { ActionLink, PrintedPage, readPaper } from '../../ui/index.ts';
import { HighSheetView } from './HighSheetView.tsx';
import { useHighChart } from './useHighChart.ts';

/** The chart of high notes on one page. */
export function Component() {
  const { t } = useTranslation();
  const [search, setSearch] = useSearchParams();
  const chart = useHighChart();
  if (!chart) return null;
  const { settings, mouthpiece } = chart;
  return (
    <PrintedPage
      title={t('high.title')}
      aside={[t(`horn.${settings.hornId}`), mouthpiece.name || t('high.noMouthpiece')].join(' · ')}
      paper={readPaper(search)}
      onPaper={(paper) => setSearch({ paper }, { replace: true })}
      back={
        <ActionLink look="plain" to="/high">
          {t('high.back')}
        </ActionLink>
      }
    >
      <HighSheetView chart={chart} />
    </PrintedPage>
  );
}
