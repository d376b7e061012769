import { Box, Flex, Heading } from '@chakra-ui/react';
import { observationsIn, WITHIN_90 } from '@inner-hum/core/tendency';
import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense } from 'react';
import { useTranslation } from 'react-i18next';
import { gearOf, playedAt, judgedOn, setupKey } from '../../storage/index.ts';
import { centsText, NoteGlyph, noteText } from '../../notation/index.ts';
import { ActionButton, ActionLink } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { rowText } from './mapText.ts';
import type { PlayedPoint } from './NoteCharts.tsx';
import { ROWS, type HornMap, type RowName } from './useHornMap.ts';

const NoteCharts = lazy(() => import('./NoteCharts.tsx'));

interface NotePanelProps {
  data: HornMap;
  note: number;
  shift: number;
  soft: number;
  loud: number;
  onClose(): void;
}

const SHOWN_TAKES = 6;

/** One note closely: what is known of it and how well, how it was over time and against loudness, the takes it was played in. */
export function NotePanel({ data, note, shift, soft, loud, onClose }: NotePanelProps) {
  const { t } = useTranslation();
  const { settings, map, sums, days } = data;
  const takes = useLiveQuery(
    () => judgedOn(settings.hornId, settings.source),
    [settings.hornId, settings.source],
  );
  const tendency = map.notes.find(({ writtenMidi }) => writtenMidi === note);
  const own = sums.find(({ writtenMidi }) => writtenMidi === note);
  if (!tendency || !own) return null;
  const from = days.at(0)?.day ?? '';
  const played = (takes ?? []).flatMap((take) => {
    if (!take.context || !take.analysis || setupKey(take) !== setupKey(gearOf(settings))) return [];
    if (take.day < from) return [];
    const points = observationsIn(take.context, take.analysis)
      .filter(({ writtenMidi }) => writtenMidi === note)
      .flatMap((each) => each.points);
    return points.length === 0 ? [] : [{ take, points }];
  });
  const points = played.flatMap(({ take: { id, startedAt }, points: of }) =>
    of.map((point): PlayedPoint => ({ ...point, takeId: id, at: startedAt })),
  );
  const { cents, error } = tendency.at(0);
  const name = noteText(note + shift, settings.naming);
  return (
    <Box
      as="section"
      aria-label={name}
      mt="5"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
      pt="4"
      data-testid="note-panel"
    >
      <Flex alignItems="baseline" gap="5" mb="3" wrap="wrap">
        <Heading as="h2" fontFamily="heading" fontSize="title">
          <NoteGlyph midi={note + shift} naming={settings.naming} octave />
        </Heading>
        <Box fontFamily="heading" fontSize="medium">
          {tendency.days === 0
            ? t('map.notHeard')
            : t('map.noteTold', {
                medium: centsText(cents, t),
                error: Math.round(WITHIN_90 * error),
                soft: centsText(tendency.at(soft).cents, t),
                loud: centsText(tendency.at(loud).cents, t),
                count: tendency.days,
              })}
        </Box>
        <ActionButton look="plain" ml="auto" onClick={onClose}>
          {t('map.close')}
        </ActionButton>
      </Flex>
      <Flex columnGap="8" rowGap="5" wrap="wrap" alignItems="flex-start">
        <Box minW="column">
          <Box as="dl" mb="3">
            {(Object.keys(ROWS) as RowName[]).map((row) => {
              const value = own.measures[row];
              const even = data.rows[row]?.notes.find(({ writtenMidi }) => writtenMidi === note);
              return value === null ? null : (
                <Flex key={row} gap="3" mb="1">
                  <Box as="dt" color="muted" w="field">
                    {t(`map.row.${row}`)}
                  </Box>
                  <Box as="dd">
                    {rowText(row, value, t)}
                    {even && ` ${t('map.neighbours', { value: rowText(row, even.smooth, t) })}`}
                  </Box>
                </Flex>
              );
            })}
          </Box>
          {played.length > 0 && (
            <Box as="ul" data-testid="note-takes">
              {played.slice(0, SHOWN_TAKES).map(({ take, points: of }) => (
                <li key={take.id}>
                  <ActionLink look="plain" to={`/takes/${take.id}`}>
                    {t('map.takeOf', {
                      date: dateText(playedAt(take), 'shortDayTime'),
                      cents: centsText(of[0].cents, t),
                    })}
                  </ActionLink>
                </li>
              ))}
            </Box>
          )}
        </Box>
        {points.length > 0 && (
          <Box flex="1" minW="column">
            <Suspense fallback={null}>
              <NoteCharts
                points={points}
                label={t('map.charts', { note: name })}
                bend={tendency.pitchSlopeCentsPer10Db.cents}
                medium={cents}
              />
            </Suspense>
          </Box>
        )}
      </Flex>
    </Box>
  );
}
