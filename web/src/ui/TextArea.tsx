import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Field, FIELD_LOOK } from './Field.tsx';

interface TextAreaProps {
  label: string;
  value: string;
  maxLength: number;
  /** When it is left. */
  onDone(value: string): void;
}

/** A longer text of the player's own; told when it is left. */
export function TextArea({ label, value, maxLength, onDone }: TextAreaProps) {
  const [draft, setDraft] = useState(value);
  return (
    <Field label={label}>
      {(id) => (
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
          py="2"
          {...FIELD_LOOK}
        />
      )}
    </Field>
  );
}
