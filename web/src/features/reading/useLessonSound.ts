import { DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import type { HornId } from '@inner-hum/core/horn';
import { useCallback, useEffect, useRef, useState } from 'react';
import { createTakePlayer, type TakePlayer } from '../../audio/index.ts';
import { useSession } from '../../session/index.ts';
import { LESSON_EXERCISE, LESSON_PROFILES, LESSON_SECONDS, type Lesson } from './lessons.ts';

/** Softer than a take that one wants to hear closely: nobody has set the volume yet. */
const LOUDNESS = 0.35;
const SAMPLE_RATE_HZ = 32000;

type LessonPhase = 'ready' | 'sounding' | 'heard';

/** The simulated player playing one lesson: heard by the real listener, drawn as far as it has sounded. */
export function useLessonSound(lesson: Lesson, hornId: HornId, a4Hz: number) {
  const session = useSession();
  const player = useRef<TakePlayer | null>(null);
  const ended = useRef(false);
  /** Counts what was asked for: a sound that comes after another was is let go of. */
  const asked = useRef(0);
  const [track, setTrack] = useState<FrameTrack | null>(null);
  const [phase, setPhase] = useState<LessonPhase>('ready');

  useEffect(() => {
    setTrack(null);
    setPhase('ready');
    const counter = asked;
    return () => {
      counter.current++;
      player.current?.close();
      player.current = null;
    };
  }, [lesson]);

  const play = useCallback(async () => {
    setPhase('sounding');
    player.current?.close();
    player.current = null;
    ended.current = false;
    const mine = ++asked.current;
    const { samples, columns } = await session.hearSimulated({
      exercise: LESSON_EXERCISE,
      hornId,
      a4Hz,
      scale: DEFAULT_SCALE,
      profile: LESSON_PROFILES[lesson],
      sampleRateHz: SAMPLE_RATE_HZ,
      seed: 5,
    });
    if (mine !== asked.current) return;
    const end = () => {
      ended.current = true;
      setPhase('heard');
    };
    player.current = createTakePlayer(samples, SAMPLE_RATE_HZ, end, LOUDNESS);
    player.current.play(0);
    setTrack(FrameTrack.from(columns));
  }, [session, lesson, hornId, a4Hz]);

  const positionSeconds = useCallback(
    () => (ended.current ? LESSON_SECONDS + 1 : (player.current?.positionSeconds() ?? 0)),
    [],
  );
  return { track, phase, play, positionSeconds };
}
