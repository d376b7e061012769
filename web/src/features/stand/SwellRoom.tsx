import { useEffect, useMemo } from 'react';
import { useSelector } from 'react-redux';
import { useNavigate, useSearchParams } from 'react-router';
import { buildSwell, type SwellRequest } from '@inner-hum/core/exercise';
import { type SessionStore, useSetup, useSession, readSwell, swellSearch } from '../../session/index.ts';
import { changeSettings } from '../../storage/index.ts';
import { SwellView } from './SwellView.tsx';
import { useHiddenTab } from './useHiddenTab.ts';
import { useClick } from './useClick.ts';
import { useEndedTake } from './useEndedTake.ts';
import { useStandKeys } from './useStandKeys.ts';
import { useWakeLock } from './useWakeLock.ts';

/** The Stand with the single swell. The exercise is in the address. */
export function Component() {
  const session = useSession();
  const navigate = useNavigate();
  const setup = useSetup();
  const [search] = useSearchParams();
  const { phase, takeId } = useSelector((state: SessionStore) => state.session);
  const ended = useEndedTake(takeId);
  useWakeLock();
  useHiddenTab();

  const hornId = setup?.settings.hornId ?? 'alto';
  const request = useMemo(() => readSwell(search, hornId), [search, hornId]);
  const exercise = useMemo(() => buildSwell(request), [request]);

  // Whatever the player is judged by makes the exercise ready anew; what was learned from the last take does
  // not until the next one is armed.
  const key =
    setup &&
    JSON.stringify([exercise, setup.settings.hornId, setup.settings.source, setup.settings.profileId]);
  useEffect(() => {
    if (setup) void session.arm(setup, exercise);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [session, key]);
  const adjustKey = setup && JSON.stringify([setup.settings.eyes, setup.scale]);
  useEffect(() => {
    if (setup) session.adjust(setup);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [session, adjustKey]);
  useEffect(() => () => void session.rest(), [session]);

  const settings = setup?.settings ?? null;
  const go = (change: Partial<SwellRequest>) =>
    void navigate({ search: swellSearch({ ...request, ...change }) }, { replace: true });
  const primary = () => {
    if (phase === 'playing') void session.endTake();
    else if (phase === 'off') {
      if (setup) void session.arm(setup, exercise);
    } else if (phase === 'armed' || phase === 'ended') void session.begin();
  };
  const { setClick, cycle } = useClick(settings);
  useStandKeys(settings, {
    start: primary,
    again: () => void session.begin(),
    leave: () => void navigate('/stand'),
    watch: () => void changeSettings({ eyes: 'watch' }),
    blind: () => void changeSettings({ eyes: 'blind' }),
    click: cycle,
  });

  if (!setup) return null;
  return (
    <SwellView
      setup={setup}
      exercise={exercise}
      request={request}
      phase={phase}
      take={phase === 'ended' ? (ended?.take ?? null) : null}
      takeIsStored={ended?.isStored ?? false}
      onChange={go}
      onPrimary={primary}
      onChangeIt={() => void session.arm(setup, exercise)}
      onRetry={() => {
        session.forgetInput();
        void session.arm(setup, exercise);
      }}
      onStandIn={() => void changeSettings({ source: 'standIn' })}
      onEyes={(eyes) => void changeSettings({ eyes })}
      onClick={setClick}
    />
  );
}
