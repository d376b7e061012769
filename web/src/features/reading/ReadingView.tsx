import { Box, Flex, Heading } from '@chakra-ui/react';
import { DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { useCallback, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { GrowingRibbon, writtenInk } from '../../ribbon/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { ActionButton, Choice, Key, useNarrow, usePageTitle } from '../../ui/index.ts';
import { LESSON_EXERCISE, LESSON_SECONDS, LESSONS, type Lesson } from './lessons.ts';
import type { useLessonSound } from './useLessonSound.ts';

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

export function ReadingView(props: ReadingViewProps) {
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
