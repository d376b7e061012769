import { useTranslation } from 'react-i18next';
import { FormField, FormRow, FormText, useSchemaForm } from '../../forms/index.ts';
import { CHECK_KINDS, dayOf, MOST_CHECK_TEXT, type HornCheckRecord } from '../../storage/index.ts';
import { DateField, Select } from '../../ui/index.ts';
import { hornCheckForm } from './gearForms.ts';

interface NewHornCheckProps {
  onAdd(check: Pick<HornCheckRecord, 'kind' | 'day' | 'text'>): void;
}

/** What was done to the horn, and when. */
export function NewHornCheck({ onAdd }: NewHornCheckProps) {
  const { t } = useTranslation();
  const { control, handleSubmit, resetField } = useSchemaForm(hornCheckForm, {
    kind: 'leakTest',
    day: dayOf(Date.now()),
    text: '',
  });
  const add = handleSubmit((check) => {
    onAdd(check);
    resetField('text');
  });
  return (
    <FormRow onSend={(event) => void add(event)} send={t('check.add')} mb="3">
      <FormField control={control} name="kind">
        {({ value, onChange }) => (
          <Select
            label={t('check.what')}
            value={value}
            onChange={(name) => onChange(CHECK_KINDS.find((each) => each === name) ?? 'other')}
            plain={CHECK_KINDS.map((kind) => ({ value: kind, label: t(`check.kind.${kind}`) }))}
          />
        )}
      </FormField>
      <FormField control={control} name="day">
        {({ value, onChange }) => (
          <DateField label={t('check.day')} value={value} latest={dayOf(Date.now())} onChange={onChange} />
        )}
      </FormField>
      <FormText control={control} name="text" label={t('check.text')} maxLength={MOST_CHECK_TEXT} />
    </FormRow>
  );
}
