import { Box, chakra } from '@chakra-ui/react';
import { useId, useState } from 'react';

interface SearchFieldProps {
  label: string;
  value: string;
  onChange(value: string): void;
  /** Where a room has this field for its purpose. */
  autoFocus?: boolean;
}

/** Words to look for. Where there is no room for them beside its neighbours, the field takes a line of its own. */
export function SearchField({ label, value, onChange, autoFocus = false }: SearchFieldProps) {
  const id = useId();
  // An address follows more slowly than one types: until the field is left it shows what was typed.
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <Box flex={{ base: '1 1 40%', md: '1 1 200px' }} maxW="column">
      <chakra.label htmlFor={id} display="block" color="muted" fontSize="small" mb="1">
        {label}
      </chakra.label>
      <chakra.input
        id={id}
        type="search"
        autoFocus={autoFocus}
        value={draft ?? value}
        onChange={({ target }) => {
          setDraft(target.value);
          onChange(target.value);
        }}
        onBlur={() => setDraft(null)}
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
