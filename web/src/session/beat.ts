import { secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import type { AudioDesk, Metronome } from '../audio/index.ts';
import type { SettingsRecord } from '../storage/index.ts';

type Click = SettingsRecord['click'];
type Metre = Pick<SettingsRecord, 'beatsPerBar' | 'subdivision' | 'accent' | 'silentBars' | 'felt'>;

/** What beats: the exercise, or the free desk at a tempo of its own. */
export interface BeatSource {
  exercise: Exercise | null;
  click: Click;
  tempoBpm: number;
  metre: Metre;
}

/** The metronome as the session uses it. */
export interface Beat {
  /** Starts at `zeroSeconds` of the audio clock. */
  start(source: BeatSource, zeroSeconds: number): void;
  setClick(source: BeatSource): void;
  /** Goes on with other clicks on the same beats. */
  setMetre(source: BeatSource): void;
  /** Changes the tempo of the free desk while it beats. */
  setTempo(source: BeatSource): void;
}

const isHeard = (click: Click) => click === 'heard' || click === 'both';

export function createBeat(metronome: Metronome, desk: AudioDesk): Beat {
  function start({ exercise, click, tempoBpm, metre }: BeatSource, zeroSeconds: number) {
    metronome.setHeard(isHeard(click));
    metronome.setFelt(metre.felt && click !== 'off');
    metronome.start({
      zeroSeconds,
      secondsPerBeat: exercise ? secondsPerBeat(exercise) : 60 / tempoBpm,
      beatsPerBar: exercise?.beatsPerBar ?? metre.beatsPerBar,
      subdivision: metre.subdivision,
      accent: metre.accent,
      silentBars: metre.silentBars,
    });
  }
  return {
    start,
    setClick(source) {
      metronome.setHeard(isHeard(source.click));
      if (source.click === 'off') metronome.stop();
      else if (!metronome.pulse) start(source, desk.now() + 0.05);
    },
    setMetre({ exercise, metre: { beatsPerBar, subdivision, accent, silentBars, felt } }) {
      metronome.setFelt(felt);
      const { pulse } = metronome;
      const bar = exercise?.beatsPerBar ?? beatsPerBar;
      if (pulse) metronome.start({ ...pulse, beatsPerBar: bar, subdivision, accent, silentBars });
    },
    setTempo(source) {
      const { pulse } = metronome;
      if (!pulse || source.exercise) return;
      // The next beat stays where it is; the ones after it come at the new distance.
      const passed = Math.ceil((desk.now() - pulse.zeroSeconds) / pulse.secondsPerBeat);
      const next = pulse.zeroSeconds + passed * pulse.secondsPerBeat;
      start(source, next - passed * (60 / source.tempoBpm));
    },
  };
}
