import { Box } from '@chakra-ui/react';
import { useId, type ReactNode } from 'react';
import {
  useController,
  type Control,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
} from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { formFault } from './formFault.ts';

/** A field of a form, as its control sees it. */
interface FieldState<Value> {
  value: Value;
  onChange(value: Value): void;
  onBlur(): void;
  /** Takes the focus where the field is wrong. */
  ref(element: HTMLElement | null): void;
  /** The sentence that says what is wrong; undefined where nothing is. */
  faultId: string | undefined;
}

interface FormFieldProps<Values extends FieldValues, Name extends FieldPath<Values>> {
  control: Control<Values>;
  name: Name;
  children(field: FieldState<FieldPathValue<Values, Name>>): ReactNode;
}

/** A control of a form, and below it what is wrong with what it holds. */
export function FormField<Values extends FieldValues, Name extends FieldPath<Values>>(
  props: FormFieldProps<Values, Name>,
) {
  const { t } = useTranslation();
  const id = useId();
  const { field, fieldState } = useController(props);
  const fault = formFault(fieldState.error?.message);
  return (
    <Box maxW="full" flexShrink="0">
      {props.children({
        value: field.value,
        onChange: field.onChange,
        onBlur: field.onBlur,
        ref: field.ref,
        faultId: fault ? id : undefined,
      })}
      {fault && (
        <Box id={id} role="alert" fontSize="small" mt="1" maxW="column">
          {t(`form.${fault}`)}
        </Box>
      )}
    </Box>
  );
}
