import { Box, Flex, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { ActionButton, ActionLink, Key, RoomHeading } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';
import { LevelLine } from './LevelLine.tsx';
import { STEPS, type CalibrationFault, type CalibrationFindings } from './calibrationSteps.ts';
import { Troubles } from '../../session/index.ts';

interface CalibrateViewProps {
  step: number | null;
  fault: CalibrationFault | null;
  findings: CalibrationFindings;
  listening: boolean;
  naming: NoteNaming;
  onForward(): void;
  onSkip(): void;
  onRetry(): void;
  onSimulated(): void;
}

export function CalibrateView(props: CalibrateViewProps) {
  const { step, fault, findings, listening, onForward, onSkip } = props;
  const { t } = useTranslation();
  const done = step !== null && step >= STEPS.length;
  const current = step === null || done ? null : STEPS[step];
  const note = props.naming === 'german' ? 'H' : props.naming === 'fixedDo' ? 'Si' : 'B';
  const decibel = (value: number | null) =>
    value === null ? t('calibrate.skipped') : t('calibrate.dbfs', { db: decimals(value, 0) });
  return (
    <Box maxW="prose">
      <RoomHeading title={t('calibrate.title')} help="calibrate" />
      <Troubles onRetry={props.onRetry} onSimulated={props.onSimulated} />
      {step === null && <Box fontSize="medium">{t('calibrate.intro')}</Box>}
      {current && (
        <Box role="status" aria-live="polite" mt="5">
          <Heading as="h2" fontFamily="heading" fontSize="display" lineHeight="1.15">
            {t(`calibrate.${current}`, { note })}
          </Heading>
          <Box color="muted" fontSize="medium" mt="3">
            {fault ? t(`calibrate.fault.${fault}`) : t(`calibrate.${current}Text`)}
          </Box>
          {listening && <LevelLine />}
        </Box>
      )}
      {done && (
        <Box as="ul" fontSize="medium">
          <li>{t('calibrate.foundRoom', { level: decibel(findings.roomFloorDb) })}</li>
          <li>
            {t('calibrate.foundSpan', { soft: decibel(findings.softDb), loud: decibel(findings.loudDb) })}
          </li>
          <li>
            {findings.roundTripSeconds === null
              ? t('calibrate.foundNoLatency')
              : t('calibrate.foundLatency', { ms: Math.round(1000 * findings.roundTripSeconds) })}
          </li>
        </Box>
      )}
      <Flex gap="5" mt="6" wrap="wrap" alignItems="center">
        {(step === null || done || fault) && (
          <ActionButton look="main" onClick={onForward}>
            {t(step === null ? 'calibrate.begin' : done ? 'calibrate.keep' : 'calibrate.tryAgain')}
          </ActionButton>
        )}
        {(step === null || done || fault) && <Key>space</Key>}
        {current && <ActionButton onClick={onSkip}>{t('calibrate.skipStep')}</ActionButton>}
        <ActionLink look="plain" to="/case">
          {t('calibrate.leave')}
        </ActionLink>
      </Flex>
    </Box>
  );
}
