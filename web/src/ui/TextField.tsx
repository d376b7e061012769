import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Field, FIELD_LOOK } from './Field.tsx';

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
  const [draft, setDraft] = useState(value);
  return (
    <Field label={label}>
      {(id) => (
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
          {...FIELD_LOOK}
        />
      )}
    </Field>
  );
}
