import { Box, Flex, Heading } from '@chakra-ui/react';
import { DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { GrowingRibbon, writtenInk } from '../../ribbon/index.ts';
import { readSettings, type SettingsRecord } from '../../storage/index.ts';
import {
  ActionButton,
  Choice,
  Key,
  useFreeKeys,
  useNarrow,
  usePageTitle,
  useSearch,
} from '../../ui/index.ts';
import { type Lesson, LESSON_EXERCISE, LESSON_SECONDS, LESSONS, readLesson } from './lessons.ts';
import { useLessonSound } from './useLessonSound.ts';

/** A round of six with the simulated player that teaches to read the ribbon. Which one is shown is in the address. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const navigate = useNavigate();
  const [search, ask] = useSearch();
  const lesson = readLesson(search);
  const { hornId, a4Hz } = settings ?? { hornId: 'alto' as const, a4Hz: 440 };
  const sound = useLessonSound(lesson, hornId, a4Hz);
  const [seen, setSeen] = useState<readonly Lesson[]>([]);
  const next = LESSONS[LESSONS.indexOf(lesson) + 1] ?? null;

  const show = (word: Lesson) => ask({ word });
  const play = () => {
    setSeen((before) => (before.includes(lesson) ? before : [...before, lesson]));
    void sound.play();
  };
  // A first visitor has questions still to answer.
  const leave = () => void navigate(settings?.visited ? '/stand/swell' : '/welcome');
  const forward = () => {
    if (sound.phase === 'ready') play();
    else if (sound.phase === 'sounding') return;
    else if (next) show(next);
    else leave();
  };
  useFreeKeys('space, enter, right, pagedown', forward);
  useHotkeys('left, pageup', () => play());

  if (!settings) return null;
  return (
    <ReadingView
      settings={settings}
      lesson={lesson}
      next={next}
      seen={seen}
      sound={sound}
      onShow={show}
      onPlay={play}
      onForward={forward}
      onLeave={leave}
    />
  );
}

interface ReadingViewProps {
  settings: SettingsRecord;
  lesson: Lesson;
  next: Lesson | null;
  seen: readonly Lesson[];
  sound: ReturnType<typeof useLessonSound>;
  onShow(lesson: Lesson): void;
  onPlay(): void;
  /** The one thing to do now: play this, go to the next, or begin to play oneself. */
  onForward(): void;
  onLeave(): void;
}

const HEIGHT = 320;
const NARROW_HEIGHT = 240;

function ReadingView(props: ReadingViewProps) {
  const { settings, lesson, next, seen, sound } = props;
  const { hornId, a4Hz } = settings;
  const { t } = useTranslation();
  usePageTitle(t('reading.title'));
  const narrow = useNarrow();
  const setting = useMemo(
    () => writtenInk({ exercise: LESSON_EXERCISE, hornId, a4Hz, scale: DEFAULT_SCALE }, 0),
    [hornId, a4Hz],
  );
  const ruleLabels = useMemo(
    () => (narrow ? null : { sharp: t('ribbon.sharp'), flat: t('ribbon.flat') }),
    [t, narrow],
  );
  const strayLabel = useCallback((partial: number) => t('ribbon.partial', { partial }), [t]);
  const { phase } = sound;
  const forward =
    phase === 'ready'
      ? t('reading.make', { word: t(`reading.word.${lesson}`) })
      : next
        ? t('reading.next', { word: t(`reading.word.${next}`) })
        : t('reading.leave');
  return (
    <Box as="main" maxW="page" mx="auto" px={{ base: '4', md: '8' }} py={{ base: '5', md: '7' }}>
      <Flex alignItems="baseline" gap="5" wrap="wrap" justifyContent="space-between">
        <Heading as="h1" fontFamily="heading" fontSize={{ base: 'title', md: 'display' }}>
          {t('reading.title')}
        </Heading>
        <ActionButton look="plain" onClick={props.onLeave}>
          {t('reading.skip')}
        </ActionButton>
      </Flex>
      <Box color="muted" fontSize="medium" maxW="prose" mt="1" mb="4">
        {t('reading.text')}
      </Box>
      <Choice
        legend={t('reading.words')}
        hideLegend
        value={lesson}
        onChange={props.onShow}
        options={LESSONS.map((value) => ({
          value,
          label: (
            <Box as="span" fontFamily="heading" fontSize={{ base: 'medium', md: 'large' }}>
              {t(`reading.word.${value}`)}
              {seen.includes(value) && <span aria-label={t('reading.seen')}> ·</span>}
            </Box>
          ),
        }))}
      />
      <Box mt="4" data-lesson={lesson} data-phase={phase}>
        <GrowingRibbon
          key={lesson}
          track={sound.track}
          setting={setting}
          lengthSeconds={LESSON_SECONDS}
          positionSeconds={sound.positionSeconds}
          height={narrow ? NARROW_HEIGHT : HEIGHT}
          label={phase === 'ready' ? t('reading.picture') : t(`reading.told.${lesson}`)}
          ruleLabels={ruleLabels}
          strayLabel={strayLabel}
        />
      </Box>
      <Box role="status" fontFamily="heading" fontSize="large" lineHeight="1.35" minH="9" mt="4" maxW="prose">
        {phase === 'ready' ? t('reading.before') : t(`reading.told.${lesson}`)}
      </Box>
      <Flex mt="5" gap="5" alignItems="center" wrap="wrap">
        <ActionButton look="main" onClick={props.onForward} disabled={phase === 'sounding'}>
          {forward} <Key>space</Key>
        </ActionButton>
        {phase === 'heard' && (
          <ActionButton onClick={props.onPlay}>
            {t('reading.again')} <Key>←</Key>
          </ActionButton>
        )}
      </Flex>
    </Box>
  );
}
