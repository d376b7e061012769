import { chakra } from '@chakra-ui/react';
import { Field, FIELD_LOOK } from './Field.tsx';

interface DateFieldProps {
  label: string;
  /** `yyyy-MM-dd`. */
  value: string;
  latest?: string;
  onChange(value: string): void;
}

/** A day, by the system's own calendar; an impossible one is not told. */
export function DateField({ label, value, latest, onChange }: DateFieldProps) {
  return (
    <Field label={label}>
      {(id) => (
        <chakra.input
          id={id}
          type="date"
          value={value}
          max={latest}
          onChange={({ target }) => {
            if (target.value !== '' && (latest === undefined || target.value <= latest))
              onChange(target.value);
          }}
          minH="touch"
          {...FIELD_LOOK}
        />
      )}
    </Field>
  );
}
