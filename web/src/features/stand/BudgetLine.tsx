import { Box, Flex } from '@chakra-ui/react';
import type { Exercise } from '@inner-hum/core/exercise';
import type { TempoProposal } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import { ActionButton } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';

interface BudgetLineProps {
  exercise: Exercise;
  budget: TempoProposal | null;
  onTake(tempoBpm: number): void;
}

/** Where the breath is likely to be too short for the tempo: which tempo fits, and why. */
export function BudgetLine({ exercise, budget, onTake }: BudgetLineProps) {
  const { t } = useTranslation();
  if (!budget || budget.tempoBpm <= exercise.tempoBpm) return null;
  const { tempoBpm, holds, likelySeconds, askedSeconds, neededSeconds, isLowerBound, fits } = budget;
  const why = t(!fits ? 'drill.budgetShort' : isLowerBound ? 'drill.budgetBound' : 'drill.budget', {
    holds,
    likely: decimals(likelySeconds, 1),
    asked: exercise.tempoBpm,
    askedSeconds: decimals(askedSeconds, 1),
    tempo: tempoBpm,
    needed: decimals(neededSeconds, 1),
  });
  return (
    <Flex flex="1" gap="5" alignItems="center" minW="column" mb="4" data-testid="budget">
      <Box maxW="prose">{why}</Box>
      <ActionButton onClick={() => onTake(tempoBpm)}>
        {t('drill.budgetTake', { tempo: tempoBpm })}
      </ActionButton>
    </Flex>
  );
}
