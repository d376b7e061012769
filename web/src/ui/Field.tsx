import { Box, chakra } from '@chakra-ui/react';
import { useId, type ReactNode } from 'react';

/** How everything looks that is typed into. */
export const FIELD_LOOK = {
  px: '3',
  borderWidth: '1px',
  borderStyle: 'solid',
  borderColor: 'edge',
  borderRadius: 'small',
} as const;

interface FieldProps {
  label: string;
  /** The control, given the id its label points to. */
  children(id: string): ReactNode;
}

/** A control under its label. */
export function Field({ label, children }: FieldProps) {
  const id = useId();
  return (
    <Box minW="0" maxW="full">
      <chakra.label htmlFor={id} display="block" color="muted" fontSize="small">
        {label}
      </chakra.label>
      {children(id)}
    </Box>
  );
}
