import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Exercise, SwellRequest } from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import { ActionButton, ActionLink, Choice, Key, NoteGlyph, noteText, VerdictWords } from '../../ui/index.ts';
import type { SettingsRecord, TakeRecord } from '../../storage/index.ts';

import { LivePage } from './LivePage.tsx';
import { SwellControls } from './SwellControls.tsx';
import { type SessionPhase, type SessionSetup, Troubles } from '../../session/index.ts';
import { usePageHeight } from './usePageHeight.ts';

interface SwellViewProps {
  setup: SessionSetup;
  exercise: Exercise;
  request: SwellRequest;
  phase: SessionPhase;
  /** The take just ended. */
  take: TakeRecord | null;
  /** Where it is not, there is no room to look closer in. */
  takeIsStored: boolean;
  onChange(change: Partial<SwellRequest>): void;
  onPrimary(): void;
  /** Back from the verdict to the choice of what to play. */
  onChangeIt(): void;
  onRetry(): void;
  onStandIn(): void;
  onEyes(eyes: SettingsRecord['eyes']): void;
  onClick(click: SettingsRecord['click']): void;
}

export function SwellView(props: SwellViewProps) {
  const { setup, exercise, request, phase, take } = props;
  const { t } = useTranslation();
  const { settings } = setup;
  // An ended take stays drawn by the scale it was judged by.
  const scale = take?.context?.scale ?? setup.scale;
  const height = usePageHeight();
  const key = (name: keyof SettingsRecord['keys']) =>
    settings.singleKeys ? { keyName: settings.keys[name] } : {};
  const busy = phase === 'playing' || phase === 'counting';
  const note = noteText(request.note, settings.naming);
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
          {t(`shape.${request.shape}`)}
        </Heading>
        <Box color="muted">
          {t('swell.aside', { horn: t(`horn.${settings.hornId}`), tempo: request.tempoBpm })}
        </Box>
        <Flex ml={{ lg: 'auto' }} columnGap="6" wrap="wrap" alignItems="center">
          <Choice
            legend={t('eyes.label')}
            hideLegend
            value={settings.eyes}
            onChange={props.onEyes}
            options={[
              { value: 'watch', label: t('eyes.watch'), ...key('watch') },
              { value: 'blind', label: t('eyes.blind'), ...key('blind') },
            ]}
          />
          <ActionButton look="plain" onClick={() => props.onClick(settings.click === 'off' ? 'both' : 'off')}>
            {t('swell.click', { state: t(`click.${settings.click}`) })}
            {settings.singleKeys && <Key>{settings.keys.click}</Key>}
          </ActionButton>
          <ActionLink look="plain" to="/stand">
            {t('swell.leave')} <Key>esc</Key>
          </ActionLink>
        </Flex>
      </Flex>
      {/* No sentences while a note sounds: what went wrong meanwhile is told after it. */}
      <Box pt="2">
        <Troubles quiet={busy} onRetry={props.onRetry} onStandIn={props.onStandIn} />
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
          alignItems={{ base: 'baseline', md: 'flex-start' }}
          justifyContent={{ md: 'center' }}
          gap="3"
          pb={{ md: '9' }}
        >
          <Box fontFamily="heading" fontSize="note" lineHeight="1.05" aria-hidden="true">
            <NoteGlyph midi={request.note} naming={settings.naming} octave />
          </Box>
          <Box color="muted" fontSize="large">
            {t(`register.${registerOf(request.note)}`)}
          </Box>
        </Flex>
        <Box flex="1" minW="0">
          <LivePage
            exercise={exercise}
            hornId={settings.hornId}
            a4Hz={settings.a4Hz}
            scale={scale}
            phase={phase}
            blind={settings.eyes === 'blind'}
            beatsSeen={settings.click === 'seen' || settings.click === 'both'}
            height={height}
            label={t('swell.page', { note, shape: t(`shape.${request.shape}`) })}
          />
        </Box>
      </Flex>
      <Box minH="footer" pb="4" visibility={busy ? 'hidden' : 'visible'}>
        {take ? (
          <Box role="status" maxW="page">
            {take.analysis && <VerdictWords verdict={take.analysis.verdict} />}
            <Flex gap="5" mt="3" wrap="wrap" alignItems="center">
              <Box fontSize="medium">{t(againHint(request, settings))}</Box>
              <ActionButton onClick={props.onPrimary}>
                {t('swell.again')} <Key>←</Key>
              </ActionButton>
              <ActionButton onClick={props.onChangeIt}>{t('swell.change')}</ActionButton>
              {props.takeIsStored && (
                <ActionLink look="plain" to={`/takes/${take.id}`}>
                  {t('swell.closer')}
                </ActionLink>
              )}
            </Flex>
          </Box>
        ) : (
          <SwellControls
            request={request}
            settings={settings}
            phase={phase}
            offerCalibration={!setup.calibrated}
            onChange={props.onChange}
            onPrimary={props.onPrimary}
          />
        )}
      </Box>
    </Flex>
  );
}

function registerOf(note: number): 'low' | 'middle' | 'high' | 'palm' {
  return note <= 62 ? 'low' : note < 74 ? 'middle' : note < 86 ? 'high' : 'palm';
}

function againHint({ start }: SwellRequest, { source }: SettingsRecord) {
  if (source === 'standIn') return 'swell.againStandIn' as const;
  return start === 'playToStart' ? ('swell.againPlay' as const) : ('swell.againCount' as const);
}
