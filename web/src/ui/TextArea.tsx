import { Box, chakra } from '@chakra-ui/react';
import { useId, useState } from 'react';

interface TextAreaProps {
  label: string;
  value: string;
  maxLength: number;
  /** When it is left. */
  onDone(value: string): void;
}

/** A longer text of the player's own; told when it is left. */
export function TextArea({ label, value, maxLength, onDone }: TextAreaProps) {
  const id = useId();
  const [draft, setDraft] = useState(value);
  return (
    <Box>
      <chakra.label htmlFor={id} display="block" color="muted" fontSize="small">
        {label}
      </chakra.label>
      <chakra.textarea
        id={id}
        rows={2}
        value={draft}
        maxLength={maxLength}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft.trim() !== value) onDone(draft.trim());
        }}
        w="full"
        px="3"
        py="2"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="edge"
        borderRadius="small"
      />
    </Box>
  );
}
