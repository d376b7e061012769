import { steadyNote } from '@inner-hum/core/tone';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useSelector } from 'react-redux';
import { useSessionDoor, useSetup, type SessionStore } from '../session/index.ts';
import { ListenForNote, type NoteListening } from '../ui/index.ts';

const EVERY_MS = 100;
/** Who has not played by then does not want to. */
const LONGEST_WAIT_MS = 20_000;

/** Lets every note field hear the note that is wanted, through the microphone that the Stand uses. */
export function NoteListeningProvider({ children }: { children: ReactNode }) {
  const door = useSessionDoor();
  const setup = useSetup();
  const phase = useSelector((state: SessionStore) => state.session.phase);
  const [isOn, setOn] = useState(false);
  const [hasFailed, setFailed] = useState(false);
  const wanted = useRef<((soundingMidi: number) => void) | null>(null);
  const { source, a4Hz } = setup?.settings ?? { source: 'standIn', a4Hz: 440 };

  const stop = useCallback(() => {
    if (!wanted.current) return;
    wanted.current = null;
    door.current?.leave();
    setOn(false);
  }, [door]);

  useEffect(() => {
    if (!isOn || !door.current) return undefined;
    const { live } = door.current;
    // What sounded before was not meant.
    const before = { track: live.track, count: live.track.count };
    const timer = setInterval(() => {
      const from = live.track === before.track ? before.count : 0;
      const midi = steadyNote(live.track, a4Hz, from);
      if (midi === null) return;
      const take = wanted.current;
      stop();
      take?.(midi);
    }, EVERY_MS);
    const tooLong = setTimeout(stop, LONGEST_WAIT_MS);
    return () => {
      clearInterval(timer);
      clearTimeout(tooLong);
    };
  }, [isOn, door, a4Hz, stop]);

  const isBroken = isOn && phase === 'broken';
  useEffect(() => {
    if (!isBroken) return;
    setFailed(true);
    stop();
  }, [isBroken, stop]);

  const listening = useMemo<NoteListening>(
    () => ({
      isOn,
      hasFailed,
      stop,
      listen:
        setup && source === 'microphone'
          ? (onNote) => {
              wanted.current = onNote;
              setFailed(false);
              void door.load().then((session) => {
                if (wanted.current === null) return;
                setOn(true);
                session.goFree(setup);
              });
            }
          : null,
    }),
    [isOn, hasFailed, stop, door, setup, source],
  );
  return <ListenForNote value={listening}>{children}</ListenForNote>;
}
