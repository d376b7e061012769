import { Box, Flex, Heading } from '@chakra-ui/react';
import {
  familyOf,
  isAlone,
  spellingKey,
  notesOf,
  placeInRound,
  scoreOf,
  type Exercise,
  type ExerciseItem,
  type NoteItem,
} from '@inner-hum/core/exercise';
import { playedExercise } from '@inner-hum/core/judge';
import { registerOf, writtenMidi } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { NamedNoteGlyph, NoteGlyph } from '../../notation/index.ts';
import { ActionButton, ActionLink, Choice, Key, usePageTitle } from '../../ui/index.ts';
import { type SessionSetup, Troubles } from '../../session/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { LivePage } from './LivePage.tsx';
import { TakeEnding } from './TakeEnding.tsx';
import type { ExercisePlay } from './useExercise.ts';
import { FingeredLine } from './FingeredLine.tsx';
import { HeldLine } from './HeldLine.tsx';
import { IntervalLine } from './IntervalLine.tsx';
import { CautionLine } from './CautionLine.tsx';
import { ClickCount } from './ClickCount.tsx';
import { shownNote } from '../../notation/index.ts';
import { PlayingLoadLine } from './PlayingLoadLine.tsx';
import { usePageHeight } from './usePageHeight.ts';
import { useShownNotes } from './useShownNotes.ts';

/** What is to be done where no note is. */
const doingWord = (doing: ExerciseItem) => {
  if (doing.kind === 'rest' && doing.breath === 'none') return 'item.hold';
  return doing.kind === 'free' && doing.fingered ? 'item.freeFingered' : (`item.${doing.kind}` as const);
};

interface ExerciseViewProps {
  setup: SessionSetup;
  play: ExercisePlay;
  title: string;
  /** Beside the title; absent: horn and pace. */
  aside?: string;
  /** What the page shows, for screen readers. */
  label: string;
  /** What to play, chosen before and after. */
  controls: ReactNode;
  /** What comes after all of it is played. */
  after?: ReactNode;
}

/** The tone and the swing that are asked for. */
function howToPlay({ tone, vibrato }: NoteItem, t: TFunction): string[] {
  return [...(tone ? [t(`tone.${tone}`)] : []), ...(vibrato ? [t(`vibrato.${vibrato}`)] : [])];
}

/** Where the question is for how many clicks, or on which one, they are counted. */
const countsClicks = (exercise: Exercise) => {
  const asked = familyOf(exercise)?.headline;
  return asked === 'beats' || notesOf(scoreOf(exercise)).some(({ item }) => item.open);
};

/** An exercise on the Stand: the note large, its page, and below either what to choose or how it was. */
export function ExerciseView({ setup, play, title, aside, label, controls, after }: ExerciseViewProps) {
  const { t } = useTranslation();
  const { settings } = setup;
  usePageTitle(typeof title === 'string' ? title : label);
  const { phase, round, phrase, take, asks } = play;
  // An ended take stays drawn by the scale it was judged by.
  const scale = take?.context?.scale ?? setup.scale;
  // What was played in one's own time is laid over what was played, once that is known.
  const shownPhrase = useMemo(() => {
    if (phase !== 'resting' || !take?.context || !take.analysis) return phrase;
    return playedExercise(take.context.exercise, take.analysis);
  }, [phase, take, phrase]);
  const isOwnTime = phrase.start === 'ownTime';
  const horn = t(`horn.${settings.hornId}`);
  const place = useMemo(() => placeInRound(play.exercise, round.index), [play.exercise, round.index]);
  const height = usePageHeight();
  const { doing, now, next, word } = useShownNotes(phrase, phase);
  const spelledIn = spellingKey(phrase.phrases[0]);
  const shown = now && shownNote(now, phrase, settings.hornId);
  const key = (name: keyof SettingsRecord['keys']) =>
    settings.singleKeys ? { keyName: settings.keys[name] } : {};
  const busy = phase === 'playing' || phase === 'counting' || phase === 'judging';
  const isBlind = settings.eyes === 'blind';
  return (
    <Flex as="main" direction="column" minH="screen" px={{ base: '4', md: '7' }} data-phase={phase}>
      <Flex
        as="header"
        alignItems="center"
        columnGap="6"
        wrap="wrap"
        py="2"
        borderBottomWidth="1px"
        borderBottomStyle="solid"
        borderBottomColor="line"
      >
        <Heading as="h1" fontFamily="heading" fontSize="large">
          {title}
        </Heading>
        <Box color="muted">
          {aside ??
            (isOwnTime
              ? t('drill.asideOwnTime', { horn })
              : t('swell.aside', { horn, tempo: play.exercise.tempoBpm }))}
        </Box>
        {round.count > 1 && (
          <Box color="muted" data-testid="phrase-count">
            {t('drill.phraseOf', { index: place.place, count: place.count })}
          </Box>
        )}
        <Flex ml={{ lg: 'auto' }} columnGap={{ base: '3', md: '5' }} wrap="wrap" alignItems="center">
          <Choice
            legend={t('eyes.label')}
            hideLegend
            value={settings.eyes}
            onChange={play.onEyes}
            options={[
              { value: 'watch', label: t('eyes.watch'), ...key('watch') },
              { value: 'blind', label: t('eyes.blind'), ...key('blind') },
            ]}
          />
          {!isOwnTime && (
            <ActionButton
              look="plain"
              onClick={() => play.onClick(settings.click === 'off' ? 'both' : 'off')}
            >
              {t('swell.click', { state: t(`click.${settings.click}`) })}
              {settings.singleKeys && <Key>{settings.keys.click}</Key>}
            </ActionButton>
          )}
          <ActionButton look="plain" onClick={() => play.onDrone({ on: !settings.drone.on })}>
            {t('ears.drone', { state: t(settings.drone.on ? 'ears.on' : 'ears.off') })}
            {settings.singleKeys && <Key>{settings.keys.drone}</Key>}
          </ActionButton>
          <ActionLink look="plain" to={play.leaveTo}>
            {t('swell.leave')} <Key>esc</Key>
          </ActionLink>
        </Flex>
      </Flex>
      {/* No sentences while a note sounds: what went wrong meanwhile is told after it. */}
      <Box pt="2">
        <Troubles quiet={busy} onRetry={play.onRetry} onSimulated={play.onSimulated} />
        <div hidden={busy}>
          <CautionLine exercise={play.exercise} readAt={settings.cautionsReadAt} />
          <PlayingLoadLine exercise={play.exercise} settings={settings} />
        </div>
      </Box>
      <Flex
        flex="1"
        direction={{ base: 'column', md: 'row' }}
        gap={{ base: '0', md: '5' }}
        alignItems="stretch"
      >
        <Flex
          w={{ md: 'noteColumn' }}
          flexShrink="0"
          direction={{ base: 'row', md: 'column' }}
          wrap={{ base: 'wrap', md: 'nowrap' }}
          alignItems={{ base: 'baseline', md: 'flex-start' }}
          justifyContent={{ md: 'center' }}
          gap="3"
          pb={{ md: '9' }}
        >
          <Box
            fontFamily="heading"
            fontSize="note"
            lineHeight="1.05"
            aria-hidden="true"
            data-testid="note-now"
          >
            {shown !== null && (
              <NoteGlyph midi={shown} naming={settings.naming} octave spelledIn={spelledIn} />
            )}
          </Box>
          {word !== null && (
            <Box fontFamily="heading" fontSize="beat" lineHeight="1.05" aria-hidden="true" data-testid="word">
              {word}
            </Box>
          )}
          {doing.kind !== 'note' && (
            <Box
              fontFamily="heading"
              fontSize="next"
              lineHeight="1.05"
              aria-hidden="true"
              data-testid="doing"
            >
              {t(doingWord(doing))}
            </Box>
          )}
          {now?.kind === 'note' &&
            howToPlay(now, t).map((how) => (
              <Box
                key={how}
                fontFamily="heading"
                fontSize="next"
                lineHeight="1.05"
                aria-hidden="true"
                data-testid="tone"
              >
                {how}
              </Box>
            ))}
          {familyOf(phrase)?.headline === 'interval' && (
            <IntervalLine exercise={phrase} settings={settings} busy={busy} />
          )}
          {isOwnTime && phase === 'playing' && <HeldLine />}
          {!isOwnTime && phase === 'playing' && countsClicks(phrase) && <ClickCount exercise={phrase} />}
          {now?.kind === 'note' && <FingeredLine note={now} naming={settings.naming} />}
          {next ? (
            <Box color="muted" aria-hidden="true" data-testid="note-next">
              <Box fontSize="small">{t('drill.next')}</Box>
              <Box
                fontFamily="heading"
                fontSize={next.fingered === null && !next.tone ? 'next' : 'title'}
                lineHeight="1.05"
              >
                <NamedNoteGlyph note={spelledIn ? { ...next, spelledIn } : next} naming={settings.naming} />
              </Box>
            </Box>
          ) : (
            <Box color="muted" fontSize="large">
              {isAlone(phrase)
                ? t('drill.sounding')
                : shown !== null && t(`register.${registerOf(writtenMidi(shown))}`)}
            </Box>
          )}
        </Flex>
        <Box flex="1" minW="0">
          <LivePage
            exercise={shownPhrase}
            hornId={settings.hornId}
            a4Hz={settings.a4Hz}
            scale={scale}
            phase={phase}
            hidden={isBlind && (phase !== 'resting' || asks !== null)}
            naming={settings.naming}
            beatsSeen={settings.click === 'seen' || settings.click === 'both'}
            height={height}
            label={label}
          />
        </Box>
      </Flex>
      <Box minH="footer" pb="4" visibility={busy ? 'hidden' : 'visible'}>
        {after}
        {take ? <TakeEnding settings={settings} play={play} take={take} /> : controls}
      </Box>
    </Flex>
  );
}
