import {
  familyOf,
  phraseExercise,
  playedPhrases,
  withFingerings,
  type Exercise,
} from '@inner-hum/core/exercise';
import { guessedEnds, type PitchGuess } from '@inner-hum/core/judge';
import { use, useEffect, useEffectEvent, useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { useNavigate } from 'react-router';
import { useSession, type SessionSetup, type SessionStore } from '../../session/index.ts';
import { ListenForNote } from '../../ui/index.ts';
import { changeSettings, writeCall } from '../../storage/index.ts';
import { useClick } from './useClick.ts';
import { useEndedTake } from './useEndedTake.ts';
import { useHiddenTab } from './useHiddenTab.ts';
import { useStandKeys } from './useStandKeys.ts';
import { useWakeLock } from './useWakeLock.ts';

/** Everything that playing an exercise on the Stand is: armed while the room is open, its keys, its end. */
export function useExercise(
  setup: SessionSetup | null,
  written: Exercise,
  address: string,
  leaveTo = '/stand',
) {
  const fingerings = setup?.fingerings;
  const exercise = useMemo(
    () => (fingerings ? withFingerings(written, fingerings) : written),
    [written, fingerings],
  );
  const session = useSession();
  const navigate = useNavigate();
  const { phase, takeId, round } = useSelector((state: SessionStore) => state.session);
  const ended = useEndedTake(takeId);
  const [shownId, setShown] = useState<string | null>(null);
  useWakeLock();
  useHiddenTab();

  // Whatever the player is judged by makes the exercise ready anew; what was learned from the last take does
  // not until the next one is armed.
  const key =
    setup &&
    JSON.stringify([
      exercise,
      setup.settings.hornId,
      setup.settings.source,
      setup.settings.pace,
      setup.settings.profileId,
    ]);
  const arm = () => {
    if (setup) session.arm(setup, exercise, familyOf(exercise)?.isSingle ? null : address);
  };
  const armAnew = useEffectEvent(arm);
  const { isOn: listens } = use(ListenForNote);
  useEffect(() => {
    // While a note is being set by playing it, nothing is begun by it.
    if (!listens) armAnew();
  }, [session, key, listens]);
  const { eyes, drone, subdivision, accent, silentBars } = setup?.settings ?? {};
  const adjustKey = setup && JSON.stringify([eyes, drone, subdivision, accent, silentBars, setup.scale]);
  const adjust = useEffectEvent(() => {
    if (setup) session.adjust(setup);
  });
  useEffect(() => adjust(), [session, adjustKey]);
  useEffect(() => () => session.leave(), [session]);

  /** Opens the input again; a round that has begun keeps its place. */
  const reopen = () => (round.index > 0 ? session.begin() : arm());
  const take = phase === 'resting' ? (ended?.take ?? null) : null;
  // Before a blind take is shown the player says how it was; playing on leaves that open.
  const asksCall =
    take?.eyes === 'blind' && take.call === null && shownId !== take.id && take.analysis !== null;
  const primary = () => {
    if (phase === 'playing') session.endTake();
    else if (phase === 'off' || phase === 'broken') reopen();
    else session.begin();
  };
  const settings = setup?.settings ?? null;
  const { setClick, cycle } = useClick(settings);
  const setDrone = (change: Partial<NonNullable<typeof drone>>) =>
    settings && void changeSettings({ drone: { ...settings.drone, ...change } });
  const isRound = round.count > 1;
  const actions = {
    start: primary,
    again: () => session.again(),
    leave: () => void navigate(leaveTo),
    watch: () => void changeSettings({ eyes: 'watch' }),
    blind: () => void changeSettings({ eyes: 'blind' }),
    click: cycle,
    drone: () => setDrone({ on: !settings?.drone.on }),
    ...(isRound && {
      pause: () => (round.paused ? session.begin() : session.pause()),
      skip: () => session.skip(),
    }),
  };
  useStandKeys(settings, actions, !asksCall);

  const shown = useMemo(
    // Until it is loaded the round is still that of the exercise before, which may have had more phrases.
    () => phraseExercise(exercise, Math.min(round.index, playedPhrases(exercise).length - 1)),
    [exercise, round.index],
  );
  return {
    phase,
    round,
    leaveTo,
    exercise,
    /** The phrase that is played or was just played. */
    phrase: shown,
    take,
    takeIsStored: ended?.isStored ?? false,
    asks: asksCall ? guessedEnds(shown) : null,
    onCall(call: PitchGuess) {
      if (!take) return;
      void writeCall(take.id, call);
      // A take that could not be stored cannot keep the call; it is shown all the same.
      if (!ended?.isStored) setShown(take.id);
    },
    onShow: () => setShown(take?.id ?? null),
    onPrimary: primary,
    onAgain: () => session.again(),
    onPause: () => (round.paused ? session.begin() : session.pause()),
    onSkip: () => session.skip(),
    /** Back from the verdict to the choice of what to play. */
    onChangeIt: arm,
    onRetry() {
      session.forgetInput();
      reopen();
    },
    onSimulated: () => void changeSettings({ source: 'standIn' }),
    onEyes: (next: 'watch' | 'blind') => void changeSettings({ eyes: next }),
    onClick: setClick,
    onDrone: setDrone,
  };
}

export type ExercisePlay = ReturnType<typeof useExercise>;
