import { Box, Flex } from '@chakra-ui/react';
import { parseISO } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  addHornCheck,
  deleteHornCheck,
  listHornChecks,
  restoreHornCheck,
  type HornCheckRecord,
  type SettingsRecord,
} from '../../storage/index.ts';
import { ActionButton, Select } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { NewHornCheck } from './NewHornCheck.tsx';

interface HornCheckFieldsProps {
  settings: SettingsRecord;
  onChange(change: Partial<SettingsRecord>): void;
}

/** Days after which one may want to be reminded. */
const EVERY = [30, 60, 90, 180, 365, 730] as const;

/** What was done to the horn and when: leak tests, visits to a technician, repairs; and when to be reminded. */
export function HornCheckFields({ settings, onChange }: HornCheckFieldsProps) {
  const { t } = useTranslation();
  const { hornId, checkEveryDays } = settings;
  const checks = useLiveQuery(() => listHornChecks(hornId), [hornId]);
  const [deleted, setDeleted] = useState<HornCheckRecord | null>(null);
  if (!checks) return null;
  return (
    <Box w="full">
      <NewHornCheck onAdd={(check) => void addHornCheck({ hornId, ...check })} />
      {checks.length === 0 && (
        <Box maxW="prose" color="muted" mb="3">
          {t('check.empty')}
        </Box>
      )}
      <Box as="ul" aria-label={t('check.title')}>
        {checks.map((check) => (
          <Flex as="li" key={check.id} gap="4" wrap="wrap" alignItems="center">
            <Box>
              {t('check.line', {
                date: dateText(parseISO(check.day), 'dayYear'),
                kind: t(`check.kind.${check.kind}`),
              })}
              {check.text && ` – ${check.text}`}
            </Box>
            <ActionButton
              look="plain"
              aria-label={t('check.deleteOf', { date: dateText(parseISO(check.day), 'dayYear') })}
              onClick={() => {
                void deleteHornCheck(check.id);
                setDeleted(check);
              }}
            >
              {t('check.delete')}
            </ActionButton>
          </Flex>
        ))}
      </Box>
      {deleted && (
        <Flex role="status" gap="4" alignItems="center">
          {t('check.deleted')}
          <ActionButton
            look="plain"
            onClick={() => {
              void restoreHornCheck(deleted);
              setDeleted(null);
            }}
          >
            {t('takes.undo')}
          </ActionButton>
        </Flex>
      )}
      <Flex gap="5" wrap="wrap" mt="3">
        {(['leakTest', 'technician'] as const).map((name) => (
          <Select
            key={name}
            label={t(`check.every.${name}`)}
            value={String(checkEveryDays[name] ?? '')}
            onChange={(value) =>
              onChange({ checkEveryDays: { ...checkEveryDays, [name]: value === '' ? null : Number(value) } })
            }
            plain={[
              { value: '', label: t('check.never') },
              ...EVERY.map((days) => ({ value: String(days), label: t('check.days', { count: days }) })),
            ]}
          />
        ))}
      </Flex>
    </Box>
  );
}
