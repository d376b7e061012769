import { useEffect } from 'react';
import { useDispatch, useStore } from 'react-redux';
import { problemRaised, type SessionStore } from '../../session/index.ts';

/** Says so when the tab was hidden during a take: it goes on being recorded, but the beat may have stumbled. */
export function useHiddenTab(): void {
  const dispatch = useDispatch();
  const store = useStore<SessionStore>();
  useEffect(() => {
    const look = () => {
      const { phase } = store.getState().session;
      if (document.hidden && (phase === 'playing' || phase === 'counting'))
        dispatch(problemRaised('hiddenTab'));
    };
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [dispatch, store]);
}
