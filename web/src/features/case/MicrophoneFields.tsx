import { Box, Flex } from '@chakra-ui/react';
import { FRAME_SECONDS, FrameTrack } from '@inner-hum/core/hearing';
import { checkInput, type InputCheck } from '@inner-hum/core/judge';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSelector } from 'react-redux';
import { listMicrophones, type MicrophoneName } from '../../audio/index.ts';
import { Troubles, useSession, useSetup, type SessionStore } from '../../session/index.ts';
import { changeSettings, type SettingsRecord } from '../../storage/index.ts';
import { ActionButton, Select } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';
import { LevelLine } from './LevelLine.tsx';

const CHECK_SECONDS = 4;

/** Which microphone hears the player, and how well it does. */
export function MicrophoneFields({ settings }: { settings: SettingsRecord }) {
  const { t } = useTranslation();
  const session = useSession();
  const setup = useSetup('microphone');
  const phase = useSelector((state: SessionStore) => state.session.phase);
  const [isChecking, setIsChecking] = useState(false);
  const [check, setCheck] = useState<InputCheck | null>(null);
  const isOpen = isChecking && phase === 'free';
  const names = useMicrophones(isOpen);
  const chosen = settings.microphone;

  useEffect(() => {
    if (!isOpen) return undefined;
    return session.desk.after(CHECK_SECONDS, () => {
      const { track } = session.live;
      const from = Math.max(0, track.count - Math.round(CHECK_SECONDS / FRAME_SECONDS));
      setCheck(checkInput(FrameTrack.from(track.slice(from))));
      setIsChecking(false);
      session.leave();
    });
  }, [isOpen, session]);
  useEffect(() => () => session.leave(), [session]);

  if (!setup) return null;
  const begin = () => {
    setCheck(null);
    setIsChecking(true);
    session.goFree({ ...setup, settings: { ...setup.settings, click: 'off' } });
  };
  const isThere = chosen === null || names.some(({ id }) => id === chosen.id);
  return (
    <Box maxW="prose" w="full">
      <Troubles
        onRetry={() => {
          session.forgetInput();
          begin();
        }}
        onSimulated={() => void changeSettings({ source: 'standIn' })}
      />
      <Flex gap="5" alignItems="flex-end" wrap="wrap">
        <Select
          label={t('mic.which')}
          value={chosen?.id ?? ''}
          onChange={(id) => {
            const next = names.find((each) => each.id === id) ?? null;
            void changeSettings({ microphone: id === '' ? null : (next ?? chosen) });
            setCheck(null);
            session.forgetInput();
          }}
          plain={[
            { value: '', label: t('mic.default') },
            ...names.map(({ id, name }) => ({ value: id, label: name })),
            ...(isThere || !chosen
              ? []
              : [{ value: chosen.id, label: t('mic.notThere', { name: chosen.name }) }]),
          ]}
        />
        <ActionButton disabled={isChecking} onClick={begin}>
          {t('mic.check')}
        </ActionButton>
      </Flex>
      {names.length === 0 && (
        <Box color="muted" fontSize="small" mt="2">
          {t('mic.noNames')}
        </Box>
      )}
      <Box role="status" mt="3" data-testid="mic-check">
        {isOpen && (
          <>
            {t('mic.playNow')}
            <LevelLine />
          </>
        )}
        {check && <CheckWords check={check} />}
      </Box>
    </Box>
  );
}

function CheckWords({ check: { loudDb, noiseDb, hasTone, faults } }: { check: InputCheck }) {
  const { t } = useTranslation();
  const figures = loudDb !== null && noiseDb !== null && !faults.includes('silent');
  return (
    <>
      {faults.length === 0 && <Box>{t(hasTone ? 'mic.good' : 'mic.noTone')}</Box>}
      {faults.map((fault) => (
        <Box key={fault}>{t(`mic.fault.${fault}`)}</Box>
      ))}
      {figures && (
        <Box color="muted">
          {t('mic.measured', { loud: decimals(loudDb, 0), noise: decimals(noiseDb, 0) })}
        </Box>
      )}
    </>
  );
}

/** The microphones by name, read again when one comes or goes and when the browser has allowed one. */
function useMicrophones(isOpen: boolean): MicrophoneName[] {
  const [names, setNames] = useState<MicrophoneName[]>([]);
  useEffect(() => {
    let isHere = true;
    const read = () => void listMicrophones().then((found) => isHere && setNames(found));
    read();
    if (!('mediaDevices' in navigator)) return undefined;
    navigator.mediaDevices.addEventListener('devicechange', read);
    return () => {
      isHere = false;
      navigator.mediaDevices.removeEventListener('devicechange', read);
    };
  }, [isOpen]);
  return names;
}
