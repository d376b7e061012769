import { Box, Flex } from '@chakra-ui/react';
import { phraseExercise, type Exercise } from '@inner-hum/core/exercise';
import { Trans, useTranslation } from 'react-i18next';
import { NoteGlyph } from '../../notation/index.ts';
import { ActionButton, ActionLink, Key } from '../../ui/index.ts';
import { firstShownNote } from '../../notation/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import type { VisitPhase } from '../../session/index.ts';

interface StartLineProps {
  exercise: Exercise;
  settings: SettingsRecord;
  phase: VisitPhase;
  paused?: boolean;
  /** Calibration was never made here: it is offered, quietly. */
  offerCalibration: boolean;
  onPrimary(): void;
}

/** How it begins: a button, or the note itself. */
export function StartLine(props: StartLineProps) {
  const { exercise, settings, phase, paused = false, offerCalibration, onPrimary } = props;
  const { t } = useTranslation();
  const { start } = phraseExercise(exercise, 0);
  const note = firstShownNote(exercise, settings.hornId);
  const standIn = settings.source === 'standIn';
  const isOff = phase === 'off' || phase === 'broken';
  const byButton = standIn || note === null || start === 'countIn' || isOff || paused;
  const said = isOff
    ? 'swell.open'
    : paused
      ? 'drill.resume'
      : standIn
        ? 'swell.simulatedPlays'
        : 'swell.countIn';
  return (
    <Flex columnGap="5" rowGap="2" alignItems="center" wrap="wrap">
      {byButton ? (
        <ActionButton
          look="main"
          lineHeight="1.2"
          px={{ md: '4' }}
          onClick={onPrimary}
          disabled={phase === 'opening'}
        >
          {t(said)}
        </ActionButton>
      ) : (
        <Box fontFamily="heading" fontSize="title" lineHeight="1.2">
          <Trans
            i18nKey="swell.playToBegin"
            components={{ note: <NoteGlyph midi={note ?? 0} naming={settings.naming} /> }}
          />
        </Box>
      )}
      {byButton && <Key>space</Key>}
      {offerCalibration && (
        <ActionLink look="plain" to="/case/calibrate">
          {t('swell.calibrate')}
        </ActionLink>
      )}
    </Flex>
  );
}
