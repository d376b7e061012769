import { Box, chakra, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Choice } from '../../ui/index.ts';
import type { SettingsRecord, StandKeys } from '../../storage/index.ts';

const NAMES = ['watch', 'blind', 'click', 'drone', 'keep', 'pause', 'skip', 'tap'] as const;

interface KeyFieldsProps {
  settings: SettingsRecord;
  onChange(change: Partial<SettingsRecord>): void;
}

/** The Stand's single keys: each can be another letter or figure, and all of them can be switched off. */
export function KeyFields({ settings, onChange }: KeyFieldsProps) {
  const { t } = useTranslation();
  const [trouble, setTrouble] = useState<string | null>(null);
  function change(name: keyof StandKeys, text: string) {
    // The field shows the old key; what was typed beside it is the new one.
    const key = text.toLowerCase().replace(settings.keys[name], '').trim();
    if (!/^[a-z0-9]$/.test(key)) {
      setTrouble(t('case.keyUnusable'));
      return;
    }
    const other = NAMES.find((candidate) => candidate !== name && settings.keys[candidate] === key);
    if (other) {
      setTrouble(t('case.keyTaken', { key, action: t(`keyName.${other}`) }));
      return;
    }
    setTrouble(null);
    onChange({ keys: { ...settings.keys, [name]: key } });
  }
  return (
    <Box>
      <Choice
        legend={t('case.singleKeys')}
        value={settings.singleKeys ? 'on' : 'off'}
        onChange={(value) => onChange({ singleKeys: value === 'on' })}
        options={[
          { value: 'on', label: t('case.on') },
          { value: 'off', label: t('case.off') },
        ]}
      />
      <Flex gap="5" wrap="wrap" mt="3">
        {NAMES.map((name) => (
          <label key={name}>
            <Box color="muted" fontSize="small">
              {t(`keyName.${name}`)}
            </Box>
            <chakra.input
              value={settings.keys[name]}
              onChange={(event) => change(name, event.target.value)}
              disabled={!settings.singleKeys}
              w="touch"
              h="touch"
              textAlign="center"
              borderWidth="1px"
              borderStyle="solid"
              borderColor="edge"
              borderRadius="small"
            />
          </label>
        ))}
      </Flex>
      <Box role="status" minH="6" color="copper">
        {trouble}
      </Box>
      <Box color="muted" maxW="prose">
        {t('case.pedals')}
      </Box>
    </Box>
  );
}
