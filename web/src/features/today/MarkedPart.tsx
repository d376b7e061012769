import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface MarkedPartProps {
  /** What leads, and what somebody else asked for. */
  mark: 'brass' | 'copper';
  testId: string;
  /** The step that is shown, where it is one. */
  step?: number;
  children: ReactNode;
}

/** Something that stands above the sheet, with a line of its colour beside it. */
export function MarkedPart({ mark, testId, step, children }: MarkedPartProps) {
  return (
    <Box
      as="section"
      mb="4"
      pl="4"
      maxW="prose"
      borderLeftWidth="4px"
      borderLeftStyle="solid"
      borderLeftColor={mark}
      data-testid={testId}
      data-step={step}
    >
      {children}
    </Box>
  );
}
