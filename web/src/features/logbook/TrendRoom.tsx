import { Box, Flex, Heading } from '@chakra-ui/react';
import { writtenMidi } from '@inner-hum/core/horn';
import { TREND_MEASURES, ZONES } from '@inner-hum/core/practice';
import { lazy, Suspense, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { familyName, measureText, noteText } from '../../notation/index.ts';
import {
  ActionLink,
  Choice,
  LogbookLinks,
  RoomHeading,
  Select,
  type UrlStateChange,
  useUrlState,
} from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { readTrend, SPANS, type TrendLook, trendSearch } from './logbookAddress.ts';
import { changeText } from './trendText.ts';
import { type Trend, useTrend } from './useTrend.ts';

/** Whether it is getting better, and what a change did: any figure of a note, a zone or a drill over time. */
export function Component() {
  const [now] = useState(() => Date.now());
  const [look, go] = useUrlState(readTrend, trendSearch);
  const trend = useTrend(look, now);
  if (!trend) return null;
  return <TrendView look={look} trend={trend} onChange={(change) => go(change)} />;
}

const TrendChart = lazy(() => import('./TrendChart.tsx'));

interface TrendViewProps {
  look: TrendLook;
  trend: Trend;
  onChange(change: UrlStateChange<TrendLook>): void;
}

function TrendView({ look, trend, onChange }: TrendViewProps) {
  const { t } = useTranslation();
  const { measure, scope, span } = look;
  const { points, changes, settings, horns, hornId, notes, drills } = trend;
  const scoped = (change: Partial<TrendLook['scope']>) =>
    onChange((standing) => ({ scope: { ...standing.scope, ...change } }));
  const name = t(`trend.measure.${measure}`);
  return (
    <Box maxW="page">
      <RoomHeading title={t('trend.title')} help="trends" aside={name} end={<LogbookLinks />} />
      <Flex as="search" gap="5" wrap="wrap" alignItems="flex-end" mb="4">
        <Select
          label={t('trend.what')}
          value={measure}
          onChange={(value) =>
            onChange({ measure: TREND_MEASURES.find((each) => each === value) ?? 'asWrittenPercent' })
          }
          plain={TREND_MEASURES.map((value) => ({ value, label: t(`trend.measure.${value}`) }))}
        />
        <Select
          label={t('trend.zone')}
          value={scope.zone ?? ''}
          onChange={(value) => scoped({ zone: ZONES.find((zone) => zone === value) ?? null, midi: null })}
          plain={[
            { value: '', label: t('trend.anywhere') },
            ...ZONES.map((value) => ({ value, label: t(`today.zone.${value}`) })),
          ]}
        />
        <Select
          label={t('filter.note')}
          value={String(scope.midi ?? '')}
          onChange={(value) => scoped({ midi: value === '' ? null : writtenMidi(Number(value)), zone: null })}
          plain={[
            { value: '', label: t('filter.anyNote') },
            ...notes.map((midi) => ({ value: String(midi), label: noteText(midi, settings.naming) })),
          ]}
        />
        <Select
          label={t('trend.drill')}
          value={scope.family ?? ''}
          onChange={(value) => scoped({ family: value === '' ? null : value })}
          plain={[
            { value: '', label: t('trend.anyDrill') },
            ...drills.map((id) => ({ value: id, label: familyName(id, t) })),
          ]}
        />
        <Choice
          legend={t('trend.span')}
          value={span}
          onChange={(value) => onChange({ span: value })}
          options={SPANS.map((value) => ({ value, label: t(`trend.spans.${value}`) }))}
        />
        {horns.length > 1 && (
          <Choice
            legend={t('filter.horn')}
            value={hornId}
            onChange={(horn) => onChange({ horn })}
            options={horns.map((id) => ({ value: id, label: t(`horn.${id}`) }))}
          />
        )}
      </Flex>
      {points.length === 0 ? (
        <Box maxW="prose">
          <Box mb="5">{t(notes.length === 0 ? 'trend.notPlayed' : 'trend.nothing')}</Box>
          {notes.length === 0 && (
            <ActionLink look="main" to="/today">
              {t('logbook.toToday')}
            </ActionLink>
          )}
        </Box>
      ) : (
        <Suspense fallback={<Box minH="chart" />}>
          <TrendChart
            points={points}
            changes={changes}
            measure={measure}
            label={t('trend.picture', {
              name,
              count: points.length,
              first: measureText(points[0].value, measure, t),
              firstDay: dateText(points[0].at, 'day'),
              last: measureText(points[points.length - 1].value, measure, t),
              lastDay: dateText(points[points.length - 1].at, 'day'),
            })}
          />
        </Suspense>
      )}
      {points.length > 0 && changes.length > 0 && (
        <Box as="section" mt="4" data-testid="changes">
          <Heading as="h2" fontSize="large" mb="2">
            {t('trend.changes')}
          </Heading>
          <Box as="ul" maxW="prose">
            {changes.map((each) => (
              <Box as="li" key={each.mark.key} py="1">
                <strong>{dateText(each.mark.at, 'day')}</strong> {changeText(each, measure, t)}
              </Box>
            ))}
          </Box>
          <Box color="muted" fontSize="small" maxW="prose" mt="2">
            {t('trend.caution')}
          </Box>
        </Box>
      )}
    </Box>
  );
}
