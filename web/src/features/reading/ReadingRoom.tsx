import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { readSettings } from '../../storage/index.ts';
import { useFreeKeys, useSearch } from '../../ui/index.ts';
import { LESSONS, readLesson, type Lesson } from './lessons.ts';
import { ReadingView } from './ReadingView.tsx';
import { useLessonSound } from './useLessonSound.ts';

/** A round of six with the simulated player that teaches to read the ribbon. Which one is shown is in the address. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const navigate = useNavigate();
  const [search, ask] = useSearch();
  const lesson = readLesson(search);
  const { hornId, a4Hz } = settings ?? { hornId: 'alto' as const, a4Hz: 440 };
  const sound = useLessonSound(lesson, hornId, a4Hz);
  const [seen, setSeen] = useState<readonly Lesson[]>([]);
  const next = LESSONS[LESSONS.indexOf(lesson) + 1] ?? null;

  const show = (word: Lesson) => ask({ word });
  const play = () => {
    setSeen((before) => (before.includes(lesson) ? before : [...before, lesson]));
    void sound.play();
  };
  // A first visitor has questions still to answer.
  const leave = () => void navigate(settings?.visited ? '/stand/swell' : '/welcome');
  const forward = () => {
    if (sound.phase === 'ready') play();
    else if (sound.phase === 'sounding') return;
    else if (next) show(next);
    else leave();
  };
  useFreeKeys('space, enter, right, pagedown', forward);
  useHotkeys('left, pageup', () => play());

  if (!settings) return null;
  return (
    <ReadingView
      settings={settings}
      lesson={lesson}
      next={next}
      seen={seen}
      sound={sound}
      onShow={show}
      onPlay={play}
      onForward={forward}
      onLeave={leave}
    />
  );
}
