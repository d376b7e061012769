import type { SettingsRecord } from '../../storage/index.ts';
import { SheetNext } from './SheetNext.tsx';
import { SheetStart } from './SheetStart.tsx';
import type { ExercisePlay } from './useExercise.ts';

interface SheetPartProps {
  /** The line of today's sheet that is played. */
  line: string;
  play: ExercisePlay;
  settings: SettingsRecord;
}

/** What the Stand does for a line of today's sheet: begins it where no note of the player's would, and goes on to the next. */
export function SheetPart({ line, play, settings }: SheetPartProps) {
  const { round, phase, take, phrase } = play;
  const isOver = phase === 'resting' && (round.count > 1 ? round.over : take !== null);
  const byItself = settings.source === 'standIn' || phrase.start === 'countIn';
  const isReady = phase === 'armed' && round.index === 0;
  return (
    <>
      {byItself && isReady && <SheetStart key={`start ${line}`} onBegin={play.onPrimary} />}
      <SheetNext key={line} line={line} isOver={isOver} />
    </>
  );
}
