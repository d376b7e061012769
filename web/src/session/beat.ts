import { secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import type { Desk, Metronome } from '../audio/index.ts';
import type { SettingsRecord } from '../storage/index.ts';

/** The metronome as the settings have it. What beats is the exercise, or without one the free desk at a tempo of its own. */
export interface Beat {
  /** Starts at `zeroSeconds` of the audio clock. */
  start(settings: SettingsRecord, exercise: Exercise | null, zeroSeconds: number): void;
  setClick(settings: SettingsRecord, exercise: Exercise | null): void;
  /** Goes on with other clicks on the same beats. */
  setMetre(settings: SettingsRecord, exercise: Exercise | null): void;
  /** Changes the tempo of the free desk while it beats. */
  setTempo(settings: SettingsRecord, exercise: Exercise | null): void;
}

const isHeard = (click: SettingsRecord['click']) => click === 'heard' || click === 'both';

const metreOf = (settings: SettingsRecord, exercise: Exercise | null) => ({
  beatsPerBar: exercise?.beatsPerBar ?? settings.beatsPerBar,
  subdivision: settings.subdivision,
  accent: settings.accent,
  silentBars: settings.silentBars,
});

export function createBeat(metronome: Metronome, desk: Pick<Desk, 'now'>): Beat {
  const start: Beat['start'] = (settings, exercise, zeroSeconds) => {
    metronome.setHeard(isHeard(settings.click));
    metronome.setFelt(settings.felt && settings.click !== 'off');
    metronome.start({
      zeroSeconds,
      secondsPerBeat: exercise ? secondsPerBeat(exercise) : 60 / settings.tempoBpm,
      ...metreOf(settings, exercise),
    });
  };
  return {
    start,
    setClick(settings, exercise) {
      const { click } = settings;
      metronome.setHeard(isHeard(click));
      if (click === 'off' || exercise?.start === 'ownTime') metronome.stop();
      else if (!metronome.pulse) start(settings, exercise, desk.now() + 0.05);
    },
    setMetre(settings, exercise) {
      metronome.setFelt(settings.felt);
      const { pulse } = metronome;
      if (pulse) metronome.start({ ...pulse, ...metreOf(settings, exercise) });
    },
    setTempo(settings, exercise) {
      const { pulse } = metronome;
      if (!pulse || exercise) return;
      // The next beat stays where it is; the ones after it come at the new distance.
      const passed = Math.ceil((desk.now() - pulse.zeroSeconds) / pulse.secondsPerBeat);
      const next = pulse.zeroSeconds + passed * pulse.secondsPerBeat;
      start(settings, null, next - passed * (60 / settings.tempoBpm));
    },
  };
}
