import { chakra, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { FormText, useSchemaForm } from '../../forms/index.ts';
import { MOST_MOUTHPIECE_NAME } from '../../storage/index.ts';
import { ActionButton } from '../../ui/index.ts';
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
    <chakra.form noValidate onSubmit={(event) => void add(event)}>
      <Flex gap="5" wrap="wrap" alignItems="flex-start">
        <FormText
          control={control}
          name="name"
          label={t('mouthpiece.newName')}
          maxLength={MOST_MOUTHPIECE_NAME}
          takesFocus
        />
        <ActionButton type="submit" mt="5">
          {t('reed.add')}
        </ActionButton>
        <ActionButton look="plain" mt="5" onClick={onCancel}>
          {t('form.cancel')}
        </ActionButton>
      </Flex>
    </chakra.form>
  );
}
