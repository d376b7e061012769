import { Box, chakra } from '@chakra-ui/react';
import { useId, useState } from 'react';

interface TextFieldProps {
  label: string;
  value: string;
  maxLength: number;
  placeholder?: string;
  /** When the field is left or enter is pressed. */
  onDone(value: string): void;
}

/** A short text of the player's own; told when it is done. */
export function TextField({ label, value, maxLength, placeholder, onDone }: TextFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState(value);
  return (
    <Box>
      <chakra.label htmlFor={id} display="block" color="muted" fontSize="small">
        {label}
      </chakra.label>
      <chakra.input
        id={id}
        type="text"
        value={draft}
        maxLength={maxLength}
        placeholder={placeholder}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => onDone(draft.trim())}
        onKeyDown={(event) => {
          if (event.key === 'Enter') onDone(draft.trim());
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
