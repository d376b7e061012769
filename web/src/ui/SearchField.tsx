import { Box, chakra } from '@chakra-ui/react';
import { useId } from 'react';

interface SearchFieldProps {
  label: string;
  value: string;
  onChange(value: string): void;
}

/** Words to look for. */
export function SearchField({ label, value, onChange }: SearchFieldProps) {
  const id = useId();
  return (
    <Box flex={{ base: '1 1 40%', md: '1' }} maxW="column">
      <chakra.label htmlFor={id} display="block" color="muted" fontSize="small">
        {label}
      </chakra.label>
      <chakra.input
        id={id}
        type="search"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        minH="touch"
        w="full"
        px="3"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="edge"
        borderRadius="small"
      />
    </Box>
  );
}
