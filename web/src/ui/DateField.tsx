import { chakra } from '@chakra-ui/react';
import { Field, FIELD_LOOK } from './Field.tsx';

interface DateFieldProps {
  label: string;
  /** `yyyy-MM-dd`. */
  value: string;
  latest?: string;
  /** Whether no day is an answer too: then it is told as an empty text. */
  mayBeEmpty?: boolean;
  onChange(value: string): void;
}

/** A day, by the system's own calendar; an impossible one is not told. */
export function DateField({ label, value, latest, mayBeEmpty = false, onChange }: DateFieldProps) {
  return (
    <Field label={label}>
      {(id) => (
        <chakra.input
          id={id}
          type="date"
          value={value}
          max={latest}
          onChange={({ target }) => {
            const isDay = target.value !== '' && (latest === undefined || target.value <= latest);
            if (isDay || (mayBeEmpty && target.value === '' && !target.validity.badInput))
              onChange(target.value);
          }}
          minH="touch"
          {...FIELD_LOOK}
        />
      )}
    </Field>
  );
}
