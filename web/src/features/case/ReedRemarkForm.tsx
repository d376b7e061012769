import { useTranslation } from 'react-i18next';
import { FormField, FormRow, FormText, useSchemaForm } from '../../forms/index.ts';
import { MOST_REMARK, REED_PLAYS, type ReedRemark } from '../../storage/index.ts';
import { Choice } from '../../ui/index.ts';
import { remarkForm } from './gearForms.ts';

interface ReedRemarkFormProps {
  onRemark(remark: Omit<ReedRemark, 'at'>): void;
  onCancel(): void;
}

/** How a reed plays today. */
export function ReedRemarkForm({ onRemark, onCancel }: ReedRemarkFormProps) {
  const { t } = useTranslation();
  const { control, handleSubmit } = useSchemaForm(remarkForm, { how: 'well', text: '' });
  return (
    <FormRow
      onSend={(event) => void handleSubmit(onRemark)(event)}
      send={t('reed.keepRemark')}
      onCancel={onCancel}
      gap="4"
    >
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
    </FormRow>
  );
}
