import { chakra, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { FormText, useSchemaForm } from '../../forms/index.ts';
import { MOST_REED_NAME } from '../../storage/index.ts';
import { ActionButton } from '../../ui/index.ts';
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
    <chakra.form mt="2" noValidate onSubmit={(event) => void add(event)}>
      <Flex gap="5" wrap="wrap" alignItems="flex-start">
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
