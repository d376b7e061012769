import { chakra } from '@chakra-ui/react';
import type { Control, FieldPathByValue, FieldValues } from 'react-hook-form';
import { Field, FIELD_LOOK } from '../ui/index.ts';
import { FormField } from './FormField.tsx';

interface FormTextProps<Values extends FieldValues> {
  control: Control<Values>;
  name: FieldPathByValue<Values, string>;
  label: string;
  maxLength: number;
  placeholder?: string;
  /** Where the form has just been asked for, its first field has the focus. */
  takesFocus?: boolean;
}

/** A short text of a form. */
export function FormText<Values extends FieldValues>(props: FormTextProps<Values>) {
  const { control, name, label, maxLength, placeholder, takesFocus = false } = props;
  return (
    <FormField control={control} name={name}>
      {({ value, onChange, onBlur, ref, faultId }) => (
        <Field label={label}>
          {(id) => (
            <chakra.input
              id={id}
              ref={ref}
              type="text"
              value={value}
              maxLength={maxLength}
              placeholder={placeholder}
              aria-invalid={faultId !== undefined}
              aria-describedby={faultId}
              onChange={(event) => onChange(event.target.value as typeof value)}
              onBlur={onBlur}
              autoFocus={takesFocus}
              minH="touch"
              {...FIELD_LOOK}
              borderColor={faultId === undefined ? FIELD_LOOK.borderColor : 'copper'}
            />
          )}
        </Field>
      )}
    </FormField>
  );
}
