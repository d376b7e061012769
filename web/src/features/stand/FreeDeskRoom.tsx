import { use, useEffect, useEffectEvent, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useDispatch, useSelector } from 'react-redux';
import { useNavigate } from 'react-router';
import { changeSettings, DEFAULT_SETTINGS } from '../../storage/index.ts';
import { FreeDeskView } from './FreeDeskView.tsx';
import { minuteKept, type SessionStore, useSetup, useSession } from '../../session/index.ts';
import { playersHorn } from '../../addresses/index.ts';
import { useHeardNote } from './useHeardNote.ts';
import { useSurprise } from './useSurprise.ts';
import { useClick } from './useClick.ts';
import { useStandKeys } from './useStandKeys.ts';
import { useWakeLock } from './useWakeLock.ts';
import { ListenForNote } from '../../ui/index.ts';
import { DEFAULT_SCALE } from '@inner-hum/core/exercise';

/** The Stand without an exercise: tuner, level and metronome at once, with nothing to set up. */
export function Component() {
  const { t } = useTranslation();
  const session = useSession();
  const dispatch = useDispatch();
  const navigate = useNavigate();
  const setup = useSetup();
  const { phase, keptTakeId } = useSelector((state: SessionStore) => state.session);
  const heard = useHeardNote(setup?.settings.a4Hz ?? 440, setup?.scale ?? DEFAULT_SCALE);
  const [hasCalls, setHasCalls] = useState(false);
  const horn = playersHorn(setup?.settings ?? DEFAULT_SETTINGS);
  const surprise = useSurprise(hasCalls, horn, setup?.settings.a4Hz ?? 440);
  useWakeLock();

  const inputKey =
    setup &&
    [setup.settings.source, setup.settings.pace, setup.settings.hornId, setup.settings.profileId].join(' ');
  // A change of tempo or of words must not open the input again.
  const goFree = useEffectEvent(() => {
    if (setup) session.goFree(setup);
  });
  const { isOn: listens } = use(ListenForNote);
  useEffect(() => {
    if (!listens) goFree();
  }, [session, inputKey, listens]);
  useEffect(
    () => () => {
      session.leave();
      // Who comes back is told of what is kept then.
      dispatch(minuteKept(null));
    },
    [session, dispatch],
  );

  const settings = setup?.settings ?? null;
  const { setClick, cycle } = useClick(settings);
  const setTempo = (tempoBpm: number) => {
    session.setTempo(tempoBpm);
    void changeSettings({ tempoBpm });
  };
  const setDrone = (on: boolean) => settings && void changeSettings({ drone: { ...settings.drone, on } });
  const earsKey =
    settings &&
    JSON.stringify([
      settings.drone,
      settings.beatsPerBar,
      settings.subdivision,
      settings.accent,
      settings.felt,
      settings.silentBars,
    ]);
  const adjust = useEffectEvent(() => {
    if (setup) session.adjust(setup);
  });
  useEffect(() => adjust(), [session, earsKey]);
  useStandKeys(settings, {
    start: () => void navigate('/stand/swell'),
    click: cycle,
    drone: () => settings && setDrone(!settings.drone.on),
    keep: () => void session.keepLastMinute(),
  });

  if (!setup) return null;
  return (
    <FreeDeskView
      setup={setup}
      phase={phase}
      heard={heard}
      keptTakeId={keptTakeId}
      onRetry={() => {
        session.forgetInput();
        session.goFree(setup);
      }}
      onSource={(source) => void changeSettings({ source })}
      onClick={setClick}
      onTempo={setTempo}
      onDrone={setDrone}
      onEars={(change) => void changeSettings(change)}
      onKeep={() => void session.keepLastMinute()}
      onKeptSeen={() => dispatch(minuteKept(null))}
      surprise={hasCalls ? surprise : null}
      horn={horn}
      onSurprise={() => setHasCalls((before) => !before)}
      tapeLabel={t('free.tape')}
    />
  );
}
