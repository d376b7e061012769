import { useTranslation } from 'react-i18next';
import { FormRow, FormText, useSchemaForm } from '../../forms/index.ts';
import { MOST_MOUTHPIECE_NAME } from '../../storage/index.ts';
import { mouthpieceForm } from './gearForms.ts';

interface NewMouthpieceProps {
  onAdd(name: string): void;
  onCancel(): void;
}

/** Another mouthpiece, by the name that the player gives it. */
export function NewMouthpiece({ onAdd, onCancel }: NewMouthpieceProps) {
  const { t } = useTranslation();
  const { control, handleSubmit } = useSchemaForm(mouthpieceForm, { name: '' });
  const add = handleSubmit(({ name }) => onAdd(name));
  return (
    <FormRow onSend={(event) => void add(event)} send={t('reed.add')} onCancel={onCancel}>
      <FormText
        control={control}
        name="name"
        label={t('mouthpiece.newName')}
        maxLength={MOST_MOUTHPIECE_NAME}
        takesFocus
      />
    </FormRow>
  );
}
