import { Flex } from '@chakra-ui/react';
import { HORN_IDS, type NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { playedAt, type TakeRecord } from '../../storage/index.ts';
import { ActionButton, noteText, SearchField, Select } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { isFiltered, noteOf, type TakeFilter } from './takeFilter.ts';

interface TakeFilterBarProps {
  /** All takes: only what is among them is offered. */
  takes: readonly TakeRecord[];
  naming: NoteNaming;
  filter: TakeFilter;
  onChange(filter: TakeFilter): void;
}

export function TakeFilterBar({ takes, naming, filter, onChange }: TakeFilterBarProps) {
  const { t } = useTranslation();
  const set = (change: Partial<TakeFilter>) => onChange({ ...filter, ...change });
  const notes = [...new Set(takes.map(noteOf))].sort((a, b) => (Number(a) || 999) - (Number(b) || 999));
  const horns = HORN_IDS.filter((id) => takes.some(({ hornId }) => hornId === id));
  const days = new Map(takes.map((take) => [take.day, dateText(playedAt(take), 'shortWeekdayYear')]));
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
      <Select
        label={t('filter.day')}
        value={filter.day}
        onChange={(day) => set({ day })}
        plain={[any(t('filter.anyDay')), ...Array.from(days, ([value, label]) => ({ value, label }))]}
      />
      <SearchField label={t('filter.words')} value={filter.words} onChange={(words) => set({ words })} />
      {isFiltered(filter) && (
        <ActionButton look="plain" onClick={() => onChange({ note: '', horn: '', day: '', words: '' })}>
          {t('filter.all')}
        </ActionButton>
      )}
    </Flex>
  );
}
