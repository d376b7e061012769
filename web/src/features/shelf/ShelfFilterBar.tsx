import { Flex } from '@chakra-ui/react';
import { PURPOSES } from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import { Choice, SearchField, Select } from '../../ui/index.ts';
import { MINUTES, SHOWN, ZONES, type ShelfFilter } from './shelfFilter.ts';

interface ShelfFilterBarProps {
  filter: ShelfFilter;
  onChange(filter: ShelfFilter): void;
}

export function ShelfFilterBar({ filter, onChange }: ShelfFilterBarProps) {
  const { t } = useTranslation();
  const set = (change: Partial<ShelfFilter>) => onChange({ ...filter, ...change });
  return (
    <Flex as="search" gap={{ base: '3', md: '5' }} wrap="wrap" alignItems="flex-end" mb="4">
      <Choice
        legend={t('shelf.shown')}
        value={filter.shown}
        onChange={(shown) => set({ shown })}
        options={SHOWN.map((value) => ({ value, label: t(`shelf.show.${value}`) }))}
      />
      <Select
        label={t('shelf.purpose')}
        value={filter.purpose}
        onChange={(purpose) => set({ purpose: purpose as ShelfFilter['purpose'] })}
        plain={[
          { value: '', label: t('shelf.anyPurpose') },
          ...PURPOSES.map((value) => ({ value, label: t(`purpose.${value}`) })),
        ]}
      />
      <Select
        label={t('shelf.zone')}
        value={filter.zone}
        onChange={(zone) => set({ zone: zone as ShelfFilter['zone'] })}
        plain={[
          { value: '', label: t('shelf.anyZone') },
          ...ZONES.map((value) => ({ value, label: t(`register.${value}`) })),
        ]}
      />
      <Select
        label={t('shelf.time')}
        value={filter.minutes}
        onChange={(minutes) => set({ minutes })}
        plain={[
          { value: '', label: t('shelf.anyTime') },
          ...MINUTES.map((minutes) => ({ value: String(minutes), label: t('shelf.upTo', { minutes }) })),
        ]}
      />
      <SearchField label={t('shelf.words')} value={filter.words} onChange={(words) => set({ words })} />
    </Flex>
  );
}
