import { phraseExercise } from '@inner-hum/core/exercise';
import type { DemoRound } from '@inner-hum/core/formats';
import { movedHabits, type ItemFault } from '@inner-hum/core/simulated';
import { answerOf, profileOf } from './horns.ts';
import { drillOf } from './phraseOf.ts';
import type { Scene, SceneTake } from './scene.ts';
import { MOVED, PULLED_MM, REPAIRED } from './story.ts';

/** Chart runs: from which note to which, and how long ago. The low ones follow the leak as it grows and is repaired. */
const RUNS: [daysAgo: number, from: number, to: number][] = [
  [63, 58, 64],
  [57, 58, 64],
  [REPAIRED + 2, 58, 64],
  [REPAIRED - 1, 58, 64],
  [REPAIRED - 6, 58, 64],
  [MOVED + 1, 58, 78],
  [4, 58, 89],
  [2, 58, 76],
  [1, 64, 75],
];
const TEMPO = 120;
const MASTERY = 0.8;

/** Chart runs note by note, and the day on which the mouthpiece was moved. */
export function mapScenes(): Scene {
  const rounds: DemoRound[] = [];
  const takes = RUNS.flatMap(([daysAgo, from, to], i): SceneTake[] => {
    const notes = Array.from({ length: to - from + 1 }, (_, k) => from + k);
    const choices = { notes: notes.join('.'), tempoBpm: TEMPO };
    const exercise = drillOf('chartRun', choices);
    const id = `demo-run-${i}`;
    const hour = 19.8;
    rounds.push({ id, daysAgo, second: 3600 * hour, hornId: 'alto', of: { family: 'chartRun', choices } });
    return notes.map((midi, phrase) => {
      const answer = answerOf('alto', midi, daysAgo);
      const faults: ItemFault[] =
        answer < 150 ? [] : [0, 2].map((item) => ({ item, kind: 'slowAnswer', responseMs: answer }));
      return {
        daysAgo,
        hour: hour + (6 * phrase) / 3600,
        exercise: phraseExercise(exercise, phrase),
        profile: profileOf('alto', midi, daysAgo, MASTERY),
        faults,
        roundId: id,
        phrase,
      };
    });
  });
  const choices = { pull: Math.round(10 * PULLED_MM) };
  const move = drillOf('mouthpieceMove', choices);
  const id = 'demo-move';
  const hour = 18.9;
  rounds.push({
    id,
    daysAgo: MOVED,
    second: 3600 * hour,
    hornId: 'alto',
    of: { family: 'mouthpieceMove', choices },
  });
  const moved = [0, 1].map((phrase): SceneTake => {
    const exercise = phraseExercise(move, phrase);
    return {
      daysAgo: MOVED,
      hour: hour + 0.04 * phrase,
      exercise,
      profile: profileOf('alto', 71, MOVED + 1, MASTERY),
      faults: phrase === 0 ? [] : movedHabits(exercise, 'alto', 440, PULLED_MM),
      roundId: id,
      phrase,
    };
  });
  return { takes: [...takes, ...moved], rounds };
}
