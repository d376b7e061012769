import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { useDispatch, useSelector } from 'react-redux';
import { useNavigate } from 'react-router';
import { changeSettings } from '../../storage/index.ts';
import { FreeDeskView } from './FreeDeskView.tsx';
import { minuteKept, type StandStore } from './standSlice.ts';
import { useStandSetup } from './standSetup.ts';
import { useStand } from './StandProvider.tsx';
import { nextTempo } from './transport.ts';
import { useHeardNote } from './useHeardNote.ts';
import { useClick } from './useClick.ts';
import { useStandKeys } from './useStandKeys.ts';
import { useWakeLock } from './useWakeLock.ts';
import { DEFAULT_SCALE } from '@inner-hum/core/exercise';

/** The Stand without an exercise: tuner, level and metronome at once, with nothing to set up. */
export function Component() {
  const { t } = useTranslation();
  const stand = useStand();
  const dispatch = useDispatch();
  const navigate = useNavigate();
  const setup = useStandSetup();
  const { phase, keptTakeId } = useSelector((state: StandStore) => state.stand);
  const heard = useHeardNote(setup?.settings.a4Hz ?? 440, setup?.scale ?? DEFAULT_SCALE);
  useWakeLock();

  const ready = setup !== null;
  const inputKey = setup && `${setup.settings.source} ${setup.settings.hornId} ${setup.settings.profileId}`;
  useEffect(() => {
    if (setup) void stand.goFree(setup);
    // A change of tempo or of words must not open the input again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [stand, ready, inputKey]);
  useEffect(
    () => () => {
      stand.metronome.stop();
      stand.desk.stopStandIn();
    },
    [stand],
  );

  const settings = setup?.settings ?? null;
  const { setClick, cycle } = useClick(settings);
  const setTempo = (tempoBpm: number) => {
    stand.setTempo(tempoBpm);
    void changeSettings({ tempoBpm });
  };
  useStandKeys(settings, {
    start: () => void navigate('/stand/swell'),
    click: cycle,
    keep: () => void stand.keepLastMinute(),
  });

  if (!setup) return null;
  return (
    <FreeDeskView
      setup={setup}
      phase={phase}
      heard={heard}
      keptTakeId={keptTakeId}
      onRetry={() => {
        stand.forgetInput();
        void stand.goFree(setup);
      }}
      onSource={(source) => void changeSettings({ source })}
      onClick={setClick}
      onTempo={(step) => setTempo(nextTempo(setup.settings.tempoBpm, step))}
      onKeep={() => void stand.keepLastMinute()}
      onKeptSeen={() => dispatch(minuteKept(null))}
      tapeLabel={t('free.tape')}
    />
  );
}
