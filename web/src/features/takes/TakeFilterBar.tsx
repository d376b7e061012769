import { Flex } from '@chakra-ui/react';
import { HORN_IDS, type NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { noteText } from '../../notation/index.ts';
import { ActionButton, DateField, SearchField, Select } from '../../ui/index.ts';
import { isFiltered, type TakeFilter } from './takeFilter.ts';
import type { FoundTakes } from './useFoundTakes.ts';

interface TakeFilterBarProps {
  choices: FoundTakes['choices'];
  naming: NoteNaming;
  filter: TakeFilter;
  onChange(filter: TakeFilter): void;
}

export function TakeFilterBar({ choices, naming, filter, onChange }: TakeFilterBarProps) {
  const { t } = useTranslation();
  const set = (change: Partial<TakeFilter>) => onChange({ ...filter, ...change });
  const notes = choices.notes.toSorted((a, b) => (Number(a) || 999) - (Number(b) || 999));
  const horns = HORN_IDS.filter((id) => choices.horns.includes(id));
  const any = (label: string) => ({ value: '', label });
  return (
    <Flex as="search" gap={{ base: '3', md: '5' }} wrap="wrap" alignItems="flex-end" mb="4">
      <Select
        label={t('filter.note')}
        value={filter.note}
        onChange={(note) => set({ note })}
        plain={[
          any(t('filter.anyNote')),
          ...notes.map((value) => ({
            value,
            label: value === 'free' ? t('takes.free') : noteText(Number(value), naming),
          })),
        ]}
      />
      <Select
        label={t('filter.horn')}
        value={filter.horn}
        onChange={(horn) => set({ horn })}
        plain={[any(t('filter.anyHorn')), ...horns.map((value) => ({ value, label: t(`horn.${value}`) }))]}
      />
      <DateField label={t('filter.day')} value={filter.day} mayBeEmpty onChange={(day) => set({ day })} />
      <SearchField label={t('filter.words')} value={filter.words} onChange={(words) => set({ words })} />
      {isFiltered(filter) && (
        <ActionButton look="plain" onClick={() => onChange({ note: '', horn: '', day: '', words: '' })}>
          {t('filter.all')}
        </ActionButton>
      )}
    </Flex>
  );
}
