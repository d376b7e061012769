// Forms that are checked before they are taken: what is typed is held by the form library, what it must be is said by a schema.
export { FormText } from './FormText.tsx';
export { FormField } from './FormField.tsx';
export { useSchemaForm } from './useSchemaForm.ts';
export { FormRow } from './FormRow.tsx';
export { fault } from './formFault.ts';
