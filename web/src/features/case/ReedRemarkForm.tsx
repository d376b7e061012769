import { chakra, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { FormField, FormText, useSchemaForm } from '../../forms/index.ts';
import { MOST_REMARK, type ReedRemark } from '../../storage/index.ts';
import { ActionButton, Choice } from '../../ui/index.ts';
import { REED_PLAYS, remarkForm } from './gearForms.ts';

interface ReedRemarkFormProps {
  onRemark(remark: Omit<ReedRemark, 'at'>): void;
  onCancel(): void;
}

/** How a reed plays today. */
export function ReedRemarkForm({ onRemark, onCancel }: ReedRemarkFormProps) {
  const { t } = useTranslation();
  const { control, handleSubmit } = useSchemaForm(remarkForm, { how: 'well', text: '' });
  return (
    <chakra.form noValidate onSubmit={(event) => void handleSubmit(onRemark)(event)}>
      <Flex gap="4" alignItems="flex-start" wrap="wrap">
        <FormField control={control} name="how">
          {({ value, onChange }) => (
            <Choice<ReedRemark['how']>
              legend={t('reed.howItPlays')}
              value={value}
              onChange={onChange}
              options={REED_PLAYS.map((how) => ({ value: how, label: t(`reed.how.${how}`) }))}
            />
          )}
        </FormField>
        <FormText control={control} name="text" label={t('reed.remark')} maxLength={MOST_REMARK} />
        <ActionButton type="submit" mt="5">
          {t('reed.keepRemark')}
        </ActionButton>
        <ActionButton look="plain" mt="5" onClick={onCancel}>
          {t('form.cancel')}
        </ActionButton>
      </Flex>
    </chakra.form>
  );
}
