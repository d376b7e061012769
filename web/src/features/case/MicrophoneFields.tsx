import { Box, Flex } from '@chakra-ui/react';
import { FRAME_SECONDS, FrameTrack } from '@inner-hum/core/hearing';
import { checkInput, type InputCheck } from '@inner-hum/core/judge';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSelector } from 'react-redux';
import { MicrophonePick, Troubles, useSession, useSetup, type SessionStore } from '../../session/index.ts';
import { changeSettings } from '../../storage/index.ts';
import { ActionButton } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';
import { LevelLine } from './LevelLine.tsx';

const CHECK_SECONDS = 4;

/** Which microphone hears the player, and how well it does. */
export function MicrophoneFields() {
  const { t } = useTranslation();
  const session = useSession();
  const setup = useSetup('microphone');
  const phase = useSelector((state: SessionStore) => state.session.phase);
  const [isChecking, setIsChecking] = useState(false);
  const [check, setCheck] = useState<InputCheck | null>(null);
  const isOpen = isChecking && phase === 'free';
  const [nameCount, setNameCount] = useState<number | null>(null);

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
        <MicrophonePick
          knows={isOpen}
          onNames={setNameCount}
          onChosen={() => {
            setCheck(null);
            session.forgetInput();
          }}
        />
        <ActionButton disabled={isChecking} onClick={begin}>
          {t('mic.check')}
        </ActionButton>
      </Flex>
      {nameCount === 0 && (
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
