import { Box, Flex, Heading } from '@chakra-ui/react';
import { familyById } from '@inner-hum/core/exercise';
import { writtenMidi, type WrittenMidi } from '@inner-hum/core/horn';
import {
  adviseMouthpiece,
  centsPerMm,
  type MouthpieceAdvice,
  type MouthpieceModel,
  WITHIN_90,
} from '@inner-hum/core/tendency';
import { startOfToday } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { drillAddress } from '../../addresses/index.ts';
import { centsText, NoteGlyph, noteText } from '../../notation/index.ts';
import { firstTakeSince, type SettingsRecord } from '../../storage/index.ts';
import { ActionLink, RoomHeading } from '../../ui/index.ts';
import { dateText, decimals } from '../../words/index.ts';
import { AdvicePicture } from './AdvicePicture.tsx';
import { adviceText } from './adviceText.ts';
import { modelOf } from './moves.ts';
import { type HornMap, useHornMap } from './useHornMap.ts';

/** Minutes since the first take of today; null before it. */
async function minutesSinceFirst(source: SettingsRecord['source']): Promise<number | null> {
  const first = await firstTakeSince(startOfToday().getTime(), source);
  return first === null ? null : Math.max(0, Date.now() - first) / 60_000;
}

/** What moving the mouthpiece would do to every note; measured on this horn where it was moved. */
export function Component() {
  const data = useHornMap({ range: 'year', over: 'nothing' });
  const source = data?.settings.source;
  const playedMinutes = useLiveQuery(() => (source ? minutesSinceFirst(source) : undefined), [source]);
  const model = data && modelOf(data.moves, data.horn);
  const advice = useMemo(
    () => data && adviseMouthpiece(data.map, data.horn, modelOf(data.moves, data.horn)),
    [data],
  );
  if (!data || !model || playedMinutes === undefined) return null;
  return (
    <AdviceView
      data={data}
      advice={advice}
      model={model}
      perMm={(midi) => centsPerMm(midi, data.horn, model)}
      playedMinutes={playedMinutes}
    />
  );
}

interface AdviceViewProps {
  data: HornMap;
  advice: MouthpieceAdvice | null;
  model: MouthpieceModel;
  perMm(midi: WrittenMidi): number;
  /** Since the first take of today; null where none was played yet. */
  playedMinutes: number | null;
}

/** A horn is warm enough to be moved after so long. */
const WARM_MINUTES = 4;
/** What gets worse by more than this is a cost worth naming. */
const COST_CENTS = 3;
const TOLD = 4;
/** Less is not worth a word. */
const LEAST_COLD = 4;

function AdviceView({ data, advice, model, perMm, playedMinutes }: AdviceViewProps) {
  const { t } = useTranslation();
  const { horn, moves, settings, map } = data;
  const family = familyById('mouthpieceMove');
  const last = moves.at(-1);
  const pull = advice && advice.pullOutMm !== 0 ? Math.round(10 * advice.pullOutMm) : 10;
  const wait = WARM_MINUTES - (playedMinutes ?? 0);
  const worse = (advice?.notes ?? [])
    .filter(({ before, after }) => Math.abs(after) - Math.abs(before) > COST_CENTS)
    .toSorted((a, b) => Math.abs(b.after) - Math.abs(a.after))
    .slice(0, TOLD);
  return (
    <Box maxW="wide">
      <RoomHeading
        help="advice"
        title={t('advise.title')}
        aside={t('advise.aside', { horn: t(`horn.${horn.id}`) })}
        end={
          <ActionLink look="plain" to="/map">
            {t('advise.back')}
          </ActionLink>
        }
      />
      <Box fontFamily="heading" fontSize="large" mb="2" maxW="page" data-testid="advice">
        {adviceText(advice, t)}
      </Box>
      <Box color="muted" mb="4" maxW="prose">
        {last
          ? t('advise.measured', {
              date: dateText(last.at, 'day'),
              mm: decimals(Math.abs(last.pulledMm), 1),
              percent: Math.round(100 * model.share),
            })
          : t('advise.estimate')}{' '}
        {t('advise.perMm', {
          low: decimals(Math.abs(perMm(horn.lowest)), 1),
          lowNote: noteText(horn.lowest, settings.naming),
          short: decimals(Math.abs(perMm(writtenMidi(73))), 1),
          shortNote: noteText(73, settings.naming),
        })}{' '}
        {advice?.isLimited && t('advise.limited')}{' '}
        {map.warmUp &&
          map.warmUp.cents > Math.max(LEAST_COLD, WITHIN_90 * map.warmUp.error) &&
          t('advise.warmUp', { cents: Math.round(map.warmUp.cents), minutes: map.warmUp.minutes })}
      </Box>
      {advice && (
        <>
          <AdvicePicture notes={advice.notes} naming={settings.naming} label={t('advise.picture')} />
          <Box mt="3" mb="5">
            {advice.pullOutMm === 0 ? null : worse.length === 0 ? (
              t('advise.noCost')
            ) : (
              <>
                {t('advise.cost')}{' '}
                {worse.map(({ writtenMidi: midi, before, after }, i) => (
                  <span key={midi}>
                    {i > 0 && '; '}
                    <NoteGlyph midi={midi} naming={settings.naming} octave />{' '}
                    {t('advise.fromTo', { before: centsText(before, t), after: centsText(after, t) })}
                  </span>
                ))}
              </>
            )}
          </Box>
        </>
      )}
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="1">
        {t('advise.retest')}
      </Heading>
      <Box maxW="prose" mb="3">
        {t('advise.how')} {wait > 0 && t('advise.wait', { count: Math.ceil(wait) })}
      </Box>
      {family && (
        <ActionLink look="main" to={drillAddress(family, horn, { pull })}>
          {t('familyName.mouthpieceMove')}
        </ActionLink>
      )}
      {last && (
        <Flex as="ul" gap="6" wrap="wrap" mt="4" data-testid="retested">
          {last.notes.map(({ writtenMidi: midi, movedCents }) => (
            <li key={midi}>
              <NoteGlyph midi={midi} naming={settings.naming} octave />{' '}
              {t('advise.moved', {
                cents: decimals(Math.abs(movedCents), 1),
                wanted: decimals(Math.abs(last.pulledMm * perMm(midi)), 1),
              })}
            </li>
          ))}
        </Flex>
      )}
    </Box>
  );
}
