import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { useDispatch, useSelector } from 'react-redux';
import { useNavigate } from 'react-router';
import { ActionButton } from '../ui/index.ts';
import { saveUnsaved } from '../files/index.ts';
import { MicrophonePick } from './MicrophonePick.tsx';
import { useSession } from './SessionProvider.tsx';
import { problemsCleared, type SessionStore } from './sessionSlice.ts';
import type { TroubleCode } from './troubleCode.ts';

interface TroublesProps {
  /** A note sounds: only what has stopped the listening is said. */
  quiet?: boolean;
  onRetry(): void;
  onSimulated(): void;
}

/** `choose`: another microphone, here; a round that has begun keeps its place. The others are pressed. */
type Way = 'choose' | 'retry' | 'standIn' | 'resume' | 'saveFile' | 'makeRoom' | 'reload' | 'dismiss';

const WAYS: Record<TroubleCode, Way[]> = {
  micRefused: ['retry', 'standIn'],
  micAbsent: ['choose', 'retry', 'standIn'],
  micBusy: ['choose', 'retry', 'standIn'],
  micUnsupported: ['standIn'],
  micUnplugged: ['choose', 'retry', 'standIn'],
  micChanged: ['choose', 'dismiss'],
  micOther: ['choose', 'dismiss'],
  micMuted: ['choose', 'retry'],
  deviceChanged: ['choose', 'retry', 'dismiss'],
  suspended: ['resume'],
  audioFailed: ['reload'],
  lowRate: ['choose', 'retry', 'dismiss'],
  keptProcessing: ['choose', 'dismiss'],
  silence: ['choose', 'retry', 'dismiss'],
  clipping: ['dismiss'],
  noisyRoom: ['dismiss'],
  lostSound: ['dismiss'],
  hiddenTab: ['dismiss'],
  storageFull: ['makeRoom', 'dismiss'],
  notStored: ['makeRoom', 'dismiss'],
  storageLow: ['makeRoom', 'dismiss'],
  storageRefused: ['dismiss'],
  clockBack: ['dismiss'],
  takeUnsaved: ['saveFile'],
  nothingHeard: ['dismiss'],
  droneHeard: ['dismiss'],
  workerFailed: ['reload'],
  workerRestarted: ['dismiss'],
};

const STOPS_LISTENING: TroubleCode[] = [
  'suspended',
  'micMuted',
  'micUnplugged',
  'workerFailed',
  'audioFailed',
];

/** What is wrong, in one sentence each, and the ways forward. */
export function Troubles({ quiet = false, onRetry, onSimulated }: TroublesProps) {
  const { t } = useTranslation();
  const dispatch = useDispatch();
  const navigate = useNavigate();
  const session = useSession();
  const all = useSelector((state: SessionStore) => state.session.troubles);
  const troubles = quiet ? all.filter((code) => STOPS_LISTENING.includes(code)) : all;
  const act = (code: TroubleCode, way: Exclude<Way, 'choose'>) => {
    if (way === 'retry') onRetry();
    if (way === 'standIn') onSimulated();
    if (way === 'reload') window.location.reload();
    if (way === 'makeRoom') void navigate('/case/keeping');
    if (way === 'resume') void session.desk.resume();
    if (way === 'saveFile') void saveUnsaved(session.unsaved);
    if (way !== 'resume' && way !== 'reload') dispatch(problemsCleared([code]));
  };
  return (
    <Box role="alert">
      {troubles.map((code) => (
        <Flex
          key={code}
          data-trouble={code}
          wrap="wrap"
          alignItems="center"
          gap="4"
          px="4"
          py="2"
          mb="2"
          borderLeftWidth="4px"
          borderLeftStyle="solid"
          borderLeftColor="copper"
          bg="cane"
        >
          <Box flex="1" minW="touch">
            {t(`trouble.${code}`)}
          </Box>
          {WAYS[code].map((way) =>
            way === 'choose' ? (
              <MicrophonePick
                key={way}
                onChosen={() => {
                  dispatch(problemsCleared([code]));
                  onRetry();
                }}
              />
            ) : (
              <ActionButton key={way} onClick={() => act(code, way)}>
                {t(`way.${way}`)}
              </ActionButton>
            ),
          )}
        </Flex>
      ))}
    </Box>
  );
}
