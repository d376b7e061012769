import { Box, chakra } from '@chakra-ui/react';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  addReed,
  listPlayedReeds,
  putOnReed,
  remarkOnReed,
  retireReed,
  type PlayedReed,
  type SettingsRecord,
} from '../../storage/index.ts';
import { reedName } from '../../notation/index.ts';
import { ActionButton } from '../../ui/index.ts';
import { NewReed } from './NewReed.tsx';
import { ReedRow } from './ReedRow.tsx';

/** The reed that has rested longest, of those that are not on the horn; null where there is nothing to choose from. */
function restedLongest(reeds: readonly PlayedReed[], onId: string): PlayedReed | null {
  const others = reeds.filter(({ reed }) => reed.id !== onId);
  return others.toSorted((a, b) => (a.lastDay ?? '').localeCompare(b.lastDay ?? '')).at(0) ?? null;
}

/** The reeds of the horn: which is on it, how long each was played, how it plays, which has rested longest. */
export function ReedFields({ settings }: { settings: SettingsRecord }) {
  const { t } = useTranslation();
  const { hornId } = settings;
  const reeds = useLiveQuery(() => listPlayedReeds(hornId), [hornId]);
  const [isAdding, setAdding] = useState(false);
  const [opened] = useState(() => Date.now());
  if (!reeds) return null;
  const onId = settings.reedIds[hornId] ?? '';
  const inUse = reeds.filter(({ reed }) => reed.retiredAt === null);
  const retired = reeds.filter(({ reed }) => reed.retiredAt !== null);
  const next = restedLongest(inUse, onId);
  const row = (played: PlayedReed) => (
    <ReedRow
      key={played.reed.id}
      played={played}
      isOn={played.reed.id === onId}
      onPutOn={() => void putOnReed(played.reed)}
      onRemark={(remark) => void remarkOnReed(played.reed.id, { ...remark, at: Date.now() })}
      onRetire={() => void retireReed(played.reed, played.reed.retiredAt === null ? Date.now() : null)}
    />
  );
  return (
    <Box w="full">
      {reeds.length === 0 && (
        <Box maxW="prose" mb="3">
          {t('reed.empty')}
        </Box>
      )}
      {onId === '' && settings.reedKinds[hornId] && (
        <Box mb="3">{t('reed.kindOnly', { kind: settings.reedKinds[hornId] })}</Box>
      )}
      <Box as="ul" aria-label={t('reed.title')}>
        {inUse.map(row)}
      </Box>
      {inUse.length > 1 && next && (
        <Box my="3" data-testid="rotation">
          {next.lastDay === null
            ? t('reed.nextNew', { reed: reedName(next.reed) })
            : t('reed.next', {
                reed: reedName(next.reed),
                count: differenceInCalendarDays(opened, parseISO(next.lastDay)),
              })}
        </Box>
      )}
      {isAdding ? (
        <NewReed
          onAdd={(kind, name) => {
            setAdding(false);
            void addReed(hornId, kind, name, Date.now());
          }}
          onCancel={() => setAdding(false)}
        />
      ) : (
        <ActionButton mt="2" onClick={() => setAdding(true)}>
          {t('reed.another')}
        </ActionButton>
      )}
      {retired.length > 0 && (
        <chakra.details mt="3">
          <chakra.summary cursor="pointer" minH="touch" color="muted">
            {t('reed.retired', { count: retired.length })}
          </chakra.summary>
          <Box as="ul">{retired.map(row)}</Box>
        </chakra.details>
      )}
    </Box>
  );
}
