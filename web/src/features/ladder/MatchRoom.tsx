import { Box, Flex } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { MatchSound } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import type { TFunction } from 'i18next';
import { lazy, Suspense, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { centsText, fingeringText, noteText } from '../../notation/index.ts';
import { judgedOn, readSettings } from '../../storage/index.ts';
import { ActionLink, RoomHeading, Select, useSearch } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';
import { BlindListen } from './BlindListen.tsx';
import { type MatchPair, matchPairs, type PlayedMatch } from './matchPairs.ts';
import { ProfilePicture } from './ProfilePicture.tsx';

/** One pitch by two fingerings: how near they come, try after try, and whether one's own ear tells them apart. */
export function Component() {
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const takes = useLiveQuery(
    () => (settings ? judgedOn(settings.hornId, settings.source) : undefined),
    [settings?.hornId, settings?.source],
  );
  const pairs = useMemo(() => takes && matchPairs(takes), [takes]);
  if (!settings || !pairs) return null;
  const pair = pairs.find(({ key }) => key === search.get('pair')) ?? pairs.at(0) ?? null;
  return (
    <MatchView pairs={pairs} pair={pair} naming={settings.naming} onPair={(key) => ask({ pair: key })} />
  );
}

const DayTrend = lazy(() => import('../../listing/DayTrend.tsx'));

/** The axis reaches at least this far. */
const LEAST_DB = 8;

interface MatchViewProps {
  pairs: readonly MatchPair[];
  pair: MatchPair | null;
  naming: NoteNaming;
  onPair(key: string): void;
}

/** What a sound of a pitch was fingered as. */
export function soundName(
  { sounding }: PlayedMatch,
  { fingered, keys }: MatchSound,
  naming: NoteNaming,
  t: TFunction,
): string {
  if (keys) return fingeringText(keys, t);
  return fingered === sounding
    ? t('ladder.regular')
    : t('fingering.fingered', { note: noteText(fingered, naming) });
}

function MatchView({ pairs, pair, naming, onPair }: MatchViewProps) {
  const { t } = useTranslation();
  const match = pair?.tries.at(-1) ?? null;
  const heading = (
    <RoomHeading
      help="match"
      title={t('match.title')}
      aside={t('match.aside')}
      end={
        <ActionLink look="plain" to="/ladder">
          {t('routes.back')}
        </ActionLink>
      }
    />
  );
  if (!pair || !match)
    return (
      <Box maxW="prose">
        {heading}
        <Box mb="4">{t('match.empty')}</Box>
        <ActionLink look="main" to="/stand/drill/overtoneMatch">
          {t('match.begin')}
        </ActionLink>
      </Box>
    );
  const nameOf = ({ tries }: MatchPair) => {
    const last = tries[tries.length - 1];
    return t('match.pair', {
      note: noteText(last.sounding, naming),
      first: soundName(last, last.first, naming, t),
      second: soundName(last, last.second, naming, t),
    });
  };
  const names = [
    soundName(match, match.first, naming, t),
    soundName(match, match.second, naming, t),
  ] as const;
  const figures = [
    ...(match.matchDb === null ? [] : [t('match.colour', { db: decimals(match.matchDb, 1) })]),
    ...(match.matchCents === null ? [] : [t('match.pitch', { cents: centsText(match.matchCents, t) })]),
    ...(match.matchCentroidHarmonics === null
      ? []
      : [
          t(match.matchCentroidHarmonics >= 0 ? 'match.brighter' : 'match.darker', {
            harmonics: decimals(Math.abs(match.matchCentroidHarmonics), 1),
          }),
        ]),
  ];
  return (
    <Box maxW="page">
      {heading}
      <Flex gap="6" alignItems="flex-end" wrap="wrap" mb="5">
        <Select
          label={t('match.which')}
          value={pair.key}
          onChange={onPair}
          plain={pairs.map((each) => ({ value: each.key, label: nameOf(each) }))}
        />
        <ActionLink look="plain" to={`/takes/${match.takeId}`}>
          {t('match.take')}
        </ActionLink>
      </Flex>
      <Flex direction={{ base: 'column', lg: 'row' }} columnGap="9" rowGap="6" alignItems="flex-start">
        <Box flexShrink="0">
          <ProfilePicture first={match.first.profileDb} second={match.second.profileDb} names={names} />
        </Box>
        <Box flex="1" minW="0" w="full">
          <Box as="ul" fontFamily="heading" fontSize="large" mb="5" data-testid="match-figures">
            {figures.map((figure) => (
              <li key={figure}>{figure}</li>
            ))}
          </Box>
          <BlindListen key={match.takeId} match={match} names={names} />
          {pair.tries.length > 1 && (
            <Box mt="6">
              <Box color="muted" fontSize="small">
                {t('match.trend', { count: pair.tries.length })}
              </Box>
              <Suspense fallback={null}>
                <DayTrend
                  points={pair.tries.map(({ startedAt, matchDb }) => ({ at: startedAt, value: matchDb }))}
                  label={t('match.trend', { count: pair.tries.length })}
                  least={LEAST_DB}
                  textOf={(db) => t('figure.db', { db })}
                />
              </Suspense>
            </Box>
          )}
        </Box>
      </Flex>
    </Box>
  );
}
