import { Box, Flex } from '@chakra-ui/react';
import { STEPS_OF_PATH, type PathId } from '@inner-hum/core/exercise';
import type { PathProgress } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import { ActionButton } from '../../ui/index.ts';
import { MarkedPart } from './MarkedPart.tsx';

const STEPS = ['0', '1', '2', '3', '4', '5'] as const;

interface PathPanelProps {
  progress: PathProgress;
  onStep(path: PathId, step: number): void;
}

/** The step of the path that leads the sheet: what it is about, how far it has come, and the ways on and back. */
export function PathPanel({ progress, onStep }: PathPanelProps) {
  const { t } = useTranslation();
  const { path, step, isAtEnd, shown, wanted, daysPractised, leastDays, passed } = progress;
  const stepsBehind = isAtEnd ? STEPS_OF_PATH : step;
  const figures = { ...shown, wanted: wanted.right, wantedOf: wanted.of };
  const titleOf = (at: number) =>
    t('today.pathStep', {
      step: at + 1,
      of: STEPS_OF_PATH,
      title: t(`today.stepTitle.${path}${STEPS[at]}`),
    });
  return (
    <MarkedPart mark="brass" testId="path" step={stepsBehind}>
      <Box role="status">
        {passed && (isAtEnd || shown.of === 0) && t('today.pathPassed', { step: stepsBehind, ...passed })}
      </Box>
      <Box fontFamily="heading" fontSize="large">
        {isAtEnd ? t('today.pathDone') : titleOf(step)}
      </Box>
      {!isAtEnd && (
        <>
          <Box>{t(`today.stepText.${path}${STEPS[step]}`)}</Box>
          <Box color="muted">
            {t(shown.of === 0 ? 'today.pathNone' : 'today.pathShown', figures)}{' '}
            {t('today.pathDays', { days: Math.min(daysPractised, leastDays), least: leastDays })}
          </Box>
        </>
      )}
      <Flex columnGap="5" wrap="wrap" alignItems="center">
        {!isAtEnd && (
          <ActionButton look="plain" onClick={() => onStep(path, step + 1)}>
            {t('today.pathOn')}
          </ActionButton>
        )}
        {(step > 0 || isAtEnd) && (
          <ActionButton look="plain" onClick={() => onStep(path, isAtEnd ? step : step - 1)}>
            {t('today.pathBack')}
          </ActionButton>
        )}
        <Box as="details">
          <Box as="summary" minH="touch" cursor="pointer" display="list-item" pt="2">
            {t('today.pathAll')}
          </Box>
          {STEPS.map((id, at) => (
            <Box key={id} color={at === step && !isAtEnd ? 'ink' : 'muted'}>
              {titleOf(at)}
            </Box>
          ))}
        </Box>
      </Flex>
    </MarkedPart>
  );
}
