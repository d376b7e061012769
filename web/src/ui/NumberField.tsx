import { Box, chakra, Flex } from '@chakra-ui/react';
import { Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { TypedValue, type Typed } from './TypedValue.tsx';

interface NumberFieldProps {
  label: string;
  less: string;
  more: string;
  shown: ReactNode;
  /** Where the value may be typed too. */
  typed?: Typed | null;
  onLess(): void;
  onMore(): void;
}

/** A value with one step down and one step up, big enough for a hand that holds a horn; pressed, it can be typed. */
export function NumberField({ label, less, more, shown, typed, onLess, onMore }: NumberFieldProps) {
  const step = (name: string, icon: ReactNode, act: () => void) => (
    <chakra.button
      type="button"
      aria-label={name}
      onClick={act}
      minW="touch"
      minH="touch"
      display="inline-grid"
      placeItems="center"
      cursor="pointer"
      borderRadius="round"
      borderWidth="1px"
      borderStyle="solid"
      borderColor="edge"
    >
      {icon}
    </chakra.button>
  );
  return (
    <Box role="group" aria-label={label}>
      <Box color="muted" fontSize="small">
        {label}
      </Box>
      <Flex alignItems="center" gap="3">
        {step(less, <Minus size={18} aria-hidden="true" />, onLess)}
        <Box minW="9" textAlign="center" fontSize="large" aria-live="polite">
          {typed ? <TypedValue label={label} shown={shown} {...typed} /> : shown}
        </Box>
        {step(more, <Plus size={18} aria-hidden="true" />, onMore)}
      </Flex>
    </Box>
  );
}
