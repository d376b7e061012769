import { Box, chakra } from '@chakra-ui/react';
import { useId } from 'react';

interface DateFieldProps {
  label: string;
  /** `yyyy-MM-dd`. */
  value: string;
  latest?: string;
  onChange(value: string): void;
}

/** A day, by the system's own calendar; an impossible one is not told. */
export function DateField({ label, value, latest, onChange }: DateFieldProps) {
  const id = useId();
  return (
    <Box>
      <chakra.label htmlFor={id} display="block" color="muted" fontSize="small">
        {label}
      </chakra.label>
      <chakra.input
        id={id}
        type="date"
        value={value}
        max={latest}
        onChange={({ target }) => {
          if (target.value !== '' && (latest === undefined || target.value <= latest)) onChange(target.value);
        }}
        minH="touch"
        px="3"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="edge"
        borderRadius="small"
      />
    </Box>
  );
}
