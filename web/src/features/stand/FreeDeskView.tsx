import { Box, Flex, Heading } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { hornById, toWritten, type Horn } from '@inner-hum/core/horn';
import { NoteGlyph } from '../../notation/index.ts';
import {
  ActionButton,
  ActionLink,
  Choice,
  Key,
  PedalKeys,
  TempoField,
  RoomHelp,
  useNarrow,
  usePageTitle,
} from '../../ui/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { BeatLamp } from './BeatLamp.tsx';
import { EarsPanel } from './EarsPanel.tsx';
import { LiveTape } from './LiveTape.tsx';
import { type VisitPhase, type SessionSetup, Troubles } from '../../session/index.ts';
import { SurpriseLine } from './SurpriseLine.tsx';
import type { SurpriseState } from './useSurprise.ts';
import type { HeardNote } from './useHeardNote.ts';
import { FASTEST_BPM, SLOWEST_BPM } from './tempoRange.ts';

interface FreeDeskViewProps {
  setup: SessionSetup;
  phase: VisitPhase;
  heard: HeardNote | null;
  keptTakeId: string | null;
  tapeLabel: string;
  /** Null: no calls to the lowest note. */
  surprise: SurpriseState | null;
  horn: Horn;
  onSurprise(): void;
  onRetry(): void;
  onSource(source: SettingsRecord['source']): void;
  onClick(click: SettingsRecord['click']): void;
  onTempo(tempoBpm: number): void;
  onKeep(): void;
  onDrone(on: boolean): void;
  onEars(change: Partial<SettingsRecord>): void;
  onKeptSeen(): void;
}

const TAPE_HEIGHT = 260;
const NARROW_TAPE_HEIGHT = 180;

export function FreeDeskView(props: FreeDeskViewProps) {
  const { setup, phase, heard, keptTakeId, tapeLabel, surprise, horn, onKeptSeen } = props;
  const { t } = useTranslation();
  usePageTitle(t('rooms.stand'));
  const narrow = useNarrow();
  const { settings, scale } = setup;
  const called = surprise?.isCalled ? horn.lowest : null;
  const shown =
    called ??
    (heard &&
      (settings.pitchShown === 'written' ? toWritten(heard.midi, hornById(settings.hornId)) : heard.midi));
  const side = heard && (Math.abs(heard.cents) < 3 ? 'true' : heard.cents > 0 ? 'sharp' : 'flat');
  const key = (name: keyof SettingsRecord['keys']) => (settings.singleKeys ? settings.keys[name] : undefined);
  return (
    <PedalKeys value>
      <Box maxW="page">
        {/* Who sees has the note that sounds. */}
        <Heading as="h1" srOnly>
          {t('rooms.stand')}
        </Heading>
        <Troubles onRetry={props.onRetry} onSimulated={() => props.onSource('standIn')} />
        <Flex
          alignItems="center"
          gap={{ base: '5', md: '9' }}
          h={{ base: 'deskNoteSmall', md: 'deskNote' }}
          wrap="nowrap"
        >
          {shown !== null && (
            <Box
              fontFamily="heading"
              fontSize={{ base: 'note', md: 'desk' }}
              lineHeight="1"
              minW={{ base: 'field', md: 'deskName' }}
              data-testid="heard-note"
            >
              <NoteGlyph midi={shown} naming={settings.naming} octave />
            </Box>
          )}
          {called === null && heard && side ? (
            <Box>
              <Box
                fontSize={{ base: 'title', md: 'next' }}
                lineHeight="1.1"
                color={side === 'true' ? 'ink' : 'copper'}
              >
                {side === 'true' ? t('free.true') : t(`free.${side}`, { count: Math.abs(heard.cents) })}
              </Box>
              <Box fontFamily="marks" fontStyle="italic" fontWeight="700" fontSize="display">
                {heard.mark}
              </Box>
            </Box>
          ) : (
            <Box color="muted" fontFamily="heading" fontSize={{ base: 'title', md: 'next' }} lineHeight="1.2">
              {called !== null
                ? t('surprise.drop')
                : t(phase === 'free' ? 'free.silent' : phase === 'opening' ? 'free.opening' : 'free.off')}
            </Box>
          )}
        </Flex>
        {surprise && <SurpriseLine surprise={surprise} lowest={horn.lowest} naming={settings.naming} />}
        <LiveTape
          a4Hz={settings.a4Hz}
          scale={scale}
          height={narrow ? NARROW_TAPE_HEIGHT : TAPE_HEIGHT}
          label={tapeLabel}
        />
        <Flex gap={{ base: '5', md: '8' }} mt="6" wrap="wrap" alignItems="flex-end">
          <TempoField
            tempoBpm={settings.tempoBpm}
            min={SLOWEST_BPM}
            max={FASTEST_BPM}
            tapKey={key('tap') ?? null}
            onChange={props.onTempo}
          />
          <BeatLamp shown={settings.click === 'seen' || settings.click === 'both'} />
          <Choice
            legend={key('click') ? t('free.clickWithKey', { key: key('click') ?? '' }) : t('free.click')}
            value={settings.click}
            onChange={props.onClick}
            options={(['off', 'seen', 'heard', 'both'] as const).map((value) => ({
              value,
              label: t(`click.${value}`),
            }))}
          />
          <Choice
            legend={t('free.input')}
            value={settings.source}
            onChange={props.onSource}
            options={(['microphone', 'standIn'] as const).map((value) => ({
              value,
              label: t(`source.${value}`),
            }))}
          />
        </Flex>
        <RoomHelp topic="stand">
          {(help) => (
            <Flex gap="6" mt="7" mb="4" wrap="wrap" alignItems="center">
              <ActionLink look="main" to="/stand/swell">
                {t('free.swell')}
              </ActionLink>
              <ActionLink to="/shelf">{t('drill.toShelf')}</ActionLink>
              <ActionButton onClick={props.onKeep}>
                {t('free.keep')} {key('keep') && <Key>{key('keep') ?? ''}</Key>}
              </ActionButton>
              <ActionButton onClick={() => props.onDrone(!settings.drone.on)}>
                {t('ears.drone', { state: t(settings.drone.on ? 'ears.on' : 'ears.off') })}{' '}
                {key('drone') && <Key>{key('drone') ?? ''}</Key>}
              </ActionButton>
              <ActionButton onClick={props.onSurprise}>
                {t('surprise.button', { state: t(surprise ? 'ears.on' : 'ears.off') })}
              </ActionButton>
              {help}
              {keptTakeId && (
                <Box role="status">
                  <ActionLink look="plain" to={`/takes/${keptTakeId}`} onClick={onKeptSeen}>
                    {t('free.kept')}
                  </ActionLink>
                </Box>
              )}
            </Flex>
          )}
        </RoomHelp>
        <EarsPanel settings={settings} onChange={props.onEars} />
      </Box>
    </PedalKeys>
  );
}
