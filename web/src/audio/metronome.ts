import { renderClick } from '@inner-hum/core/hearing';
import type { Desk } from './desk.ts';

/** A running beat: beat n falls at `zeroSeconds + n * secondsPerBeat` of the audio clock. */
export interface Pulse {
  zeroSeconds: number;
  secondsPerBeat: number;
  beatsPerBar: number;
  /** Clicks a beat; those between beats are soft. */
  subdivision: number;
  /** The first beat of a bar is louder. */
  accent: boolean;
  /** After so many bars with a beat, so many without: the player keeps it. */
  silentBars: { sounding: number; silent: number } | null;
}

/** Whether the beat is to be heard and seen in the bar that this beat is in; always before beat 0. */
export function barSounds(
  { beatsPerBar, silentBars }: Pick<Pulse, 'beatsPerBar' | 'silentBars'>,
  beat: number,
): boolean {
  if (!silentBars || beat < 0) return true;
  const bar = Math.floor(beat / beatsPerBar);
  return bar % (silentBars.sounding + silentBars.silent) < silentBars.sounding;
}

const isAccent = ({ accent, beatsPerBar }: Pulse, beat: number) => accent && beat % beatsPerBar === 0;

export interface Metronome {
  /** Starts, or goes on with another pulse. Beats before the present are passed over. */
  start(pulse: Pulse): void;
  stop(): void;
  setHeard(heard: boolean): void;
  /** Whether the device trembles on each beat, where it can. */
  setFelt(felt: boolean): void;
  readonly pulse: Pulse | null;
}

const TICK_SECONDS = 0.05;
const AHEAD_SECONDS = 0.25;
/** Hidden tabs get one timer a second. */
const AHEAD_HIDDEN_SECONDS = 2.2;
const GAIN = 0.35;
const ACCENT_GAIN = 0.6;
const BETWEEN_GAIN = 0.12;
/** Tremble of a beat, and of the first of a bar, in ms. */
const FELT_MS = 25;
const FELT_ACCENT_MS = 60;

/**
 * Schedules clicks on the audio clock, a little ahead. `onClicks` gets the times of the clicks that will
 * really sound, so that they can be found in the microphone's sound and kept out of the measurement.
 */
export function createMetronome(
  desk: Pick<Desk, 'now' | 'after' | 'output'>,
  onClicks: (times: number[]) => void,
): Metronome {
  let pulse: Pulse | null = null;
  let heard = false;
  let felt = false;
  /** Clicks are counted in parts of a beat. */
  let nextTick = 0;
  let stopTicking: (() => void) | null = null;
  let click: AudioBuffer | null = null;
  let scheduled: AudioBufferSourceNode[] = [];
  let trembles: (() => void)[] = [];

  function clickOf(context: AudioContext): AudioBuffer {
    if (click) return click;
    const samples = renderClick(context.sampleRate);
    click = context.createBuffer(1, samples.length, context.sampleRate);
    click.copyToChannel(samples, 0);
    return click;
  }

  function schedule() {
    if (!pulse) return;
    const out = desk.output();
    const now = desk.now();
    const isHidden = typeof document !== 'undefined' && document.hidden;
    const until = now + (isHidden ? AHEAD_HIDDEN_SECONDS : AHEAD_SECONDS);
    const times: number[] = [];
    for (;;) {
      const beat = nextTick / pulse.subdivision;
      const at = pulse.zeroSeconds + beat * pulse.secondsPerBeat;
      if (at > until) break;
      const sounds = out !== null && at >= now && barSounds(pulse, beat);
      if (felt && sounds && Number.isInteger(beat)) tremble(pulse, beat, at - now);
      if (heard && sounds) {
        const source = out.context.createBufferSource();
        source.buffer = clickOf(out.context);
        const gain = out.context.createGain();
        gain.gain.value = !Number.isInteger(beat) ? BETWEEN_GAIN : isAccent(pulse, beat) ? ACCENT_GAIN : GAIN;
        source.connect(gain).connect(out.room);
        source.start(at);
        source.onended = () => (scheduled = scheduled.filter((other) => other !== source));
        scheduled.push(source);
        times.push(at);
      }
      nextTick++;
    }
    if (times.length > 0) onClicks(times);
  }

  function tick() {
    schedule();
    stopTicking = desk.after(TICK_SECONDS, tick);
  }

  function tremble(of: Pulse, beat: number, inSeconds: number) {
    const ms = isAccent(of, beat) ? FELT_ACCENT_MS : FELT_MS;
    const takeBack = desk.after(inSeconds, () => {
      trembles = trembles.filter((other) => other !== takeBack);
      navigator.vibrate(ms);
    });
    trembles.push(takeBack);
  }

  function silence() {
    for (const source of scheduled) source.stop();
    scheduled = [];
    for (const takeBack of trembles) takeBack();
    trembles = [];
  }

  function restart() {
    if (!pulse) return;
    silence();
    const passed = (desk.now() + 0.01 - pulse.zeroSeconds) / pulse.secondsPerBeat;
    nextTick = Math.ceil(passed * pulse.subdivision);
    schedule();
  }

  return {
    get pulse() {
      return pulse;
    },
    start(next) {
      pulse = next;
      restart();
      if (!stopTicking) tick();
    },
    stop() {
      stopTicking?.();
      stopTicking = null;
      pulse = null;
      silence();
    },
    setFelt(next) {
      const wanted = next && 'vibrate' in navigator;
      if (felt === wanted) return;
      felt = wanted;
      restart();
    },
    setHeard(next) {
      if (heard === next) return;
      heard = next;
      restart();
    },
  };
}
