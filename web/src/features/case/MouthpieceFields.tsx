import { Flex } from '@chakra-ui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  addMouthpiece,
  listMouthpieces,
  MOST_MOUTHPIECE_NAME,
  mouthpieceOf,
  nameMouthpiece,
  putOn,
  type SettingsRecord,
} from '../../storage/index.ts';
import { ActionButton, Select, TextField } from '../../ui/index.ts';
import { NewMouthpiece } from './NewMouthpiece.tsx';

/** Which mouthpiece is on the horn, what it is called, another one: takes, high notes and maps are kept by them. */
export function MouthpieceFields({ settings }: { settings: SettingsRecord }) {
  const { t } = useTranslation();
  const { hornId } = settings;
  const mouthpieces = useLiveQuery(() => listMouthpieces(hornId), [hornId]);
  const [isAdding, setAdding] = useState(false);
  const worn = mouthpieces?.find(({ id }) => id === mouthpieceOf(settings)) ?? mouthpieces?.[0];
  if (!mouthpieces || !worn) return null;
  return (
    <Flex gap="5" wrap="wrap" alignItems="flex-end">
      {mouthpieces.length > 1 && (
        <Select
          label={t('mouthpiece.worn')}
          value={worn.id}
          onChange={(id) => void putOn(hornId, id)}
          plain={mouthpieces.map(({ id, name }) => ({ value: id, label: name || t('mouthpiece.unnamed') }))}
        />
      )}
      {isAdding ? (
        <NewMouthpiece
          onAdd={(name) => {
            setAdding(false);
            void addMouthpiece(hornId, name, Date.now());
          }}
          onCancel={() => setAdding(false)}
        />
      ) : (
        <>
          <TextField
            key={worn.id}
            label={t('mouthpiece.name')}
            value={worn.name}
            maxLength={MOST_MOUTHPIECE_NAME}
            placeholder={t('mouthpiece.unnamed')}
            onDone={(name) => {
              if (name !== worn.name) void nameMouthpiece(worn, name);
            }}
          />
          <ActionButton look="plain" onClick={() => setAdding(true)}>
            {t('mouthpiece.another')}
          </ActionButton>
        </>
      )}
    </Flex>
  );
}
