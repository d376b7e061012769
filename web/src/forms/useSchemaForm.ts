import { yupResolver } from '@hookform/resolvers/yup';
import { useForm, type DefaultValues, type UseFormReturn } from 'react-hook-form';
import type { AnyObject, InferType, ObjectSchema } from 'yup';

/**
 * A form whose fields must be what a schema says. It is checked when it is sent, and from then on at every change; the first field
 * that is wrong gets the focus.
 */
export const useSchemaForm = <Schema extends ObjectSchema<AnyObject>>(
  schema: Schema,
  defaultValues: DefaultValues<InferType<Schema>>,
): UseFormReturn<InferType<Schema>> =>
  useForm<InferType<Schema>>({ resolver: yupResolver(schema), defaultValues });
