import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { listMicrophones, type MicrophoneName } from '../audio/index.ts';
import { changeSettings, readSettings } from '../storage/index.ts';
import { Select } from '../ui/index.ts';

interface MicrophonePickProps {
  /** Changes when the browser may have come to know more names. */
  knows?: boolean;
  /** The choice is stored; the next opening takes it. */
  onChosen(): void;
  /** Without a single name: what is to be said then. */
  onNames?: (count: number) => void;
}

/** The microphones by name: one is chosen for this device and kept. */
export function MicrophonePick({ knows = false, onChosen, onNames }: MicrophonePickProps) {
  const { t } = useTranslation();
  const names = useMicrophones(knows, onNames);
  const settings = useLiveQuery(readSettings);
  if (!settings) return null;
  const chosen = settings.microphone;
  const isThere = chosen === null || names.some(({ id }) => id === chosen.id);
  return (
    <Select
      label={t('mic.which')}
      value={chosen?.id ?? ''}
      onChange={(id) => {
        const next = names.find((each) => each.id === id) ?? null;
        void changeSettings({ microphone: id === '' ? null : (next ?? chosen) }).then(onChosen);
      }}
      plain={[
        { value: '', label: t('mic.default') },
        ...names.map(({ id, name }) => ({ value: id, label: name })),
        ...(isThere || !chosen
          ? []
          : [{ value: chosen.id, label: t('mic.notThere', { name: chosen.name }) }]),
      ]}
    />
  );
}

/** The microphones by name, read again when one comes or goes and when the browser has allowed one. */
function useMicrophones(knows: boolean, onNames?: (count: number) => void): MicrophoneName[] {
  const [names, setNames] = useState<MicrophoneName[]>([]);
  useEffect(() => {
    let isHere = true;
    const read = () =>
      void listMicrophones().then((found) => {
        if (!isHere) return;
        setNames(found);
        onNames?.(found.length);
      });
    read();
    if (!('mediaDevices' in navigator)) return undefined;
    navigator.mediaDevices.addEventListener('devicechange', read);
    return () => {
      isHere = false;
      navigator.mediaDevices.removeEventListener('devicechange', read);
    };
  }, [knows, onNames]);
  return names;
}
