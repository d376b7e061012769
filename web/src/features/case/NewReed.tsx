import { useTranslation } from 'react-i18next';
import { FormRow, FormText, useSchemaForm } from '../../forms/index.ts';
import { MOST_REED_NAME } from '../../storage/index.ts';
import { reedForm } from './gearForms.ts';

interface NewReedProps {
  onAdd(kind: string, name: string): void;
  onCancel(): void;
}

/** Another reed: its kind and strength, and which one of them it is. */
export function NewReed({ onAdd, onCancel }: NewReedProps) {
  const { t } = useTranslation();
  const { control, handleSubmit } = useSchemaForm(reedForm, { kind: '', name: '' });
  const add = handleSubmit(({ kind, name }) => onAdd(kind, name));
  return (
    <FormRow onSend={(event) => void add(event)} send={t('reed.add')} onCancel={onCancel} mt="2">
      <FormText
        control={control}
        name="kind"
        label={t('reed.newKind')}
        maxLength={MOST_REED_NAME}
        placeholder={t('reed.kindExample')}
        takesFocus
      />
      <FormText
        control={control}
        name="name"
        label={t('reed.newName')}
        maxLength={MOST_REED_NAME}
        placeholder={t('reed.nameExample')}
      />
    </FormRow>
  );
}
