import { centsBetween } from '../horn/index.ts';
import type { Random } from '../signal/index.ts';
import { partialOf } from './partial.ts';

/** A call comes after so much playing, by chance between these. */
const LEAST_SECONDS = 12;
const MOST_SECONDS = 40;
/** So long the low note may take to come, and must it last to have spoken. */
const WINDOW_SECONDS = 4;
const SPOKE_SECONDS = 0.2;
/** Nearer than this it is still the note of before. */
const SAME_PITCH_CENTS = 60;

/** What came of a call: the note itself, another partial of its tube, or nothing. */
export interface SurpriseAnswer {
  /** 1 where the note spoke; null where nothing of its tube came in time. */
  partial: number | null;
  /** From the call until it sounded; null where nothing came. */
  afterSeconds: number | null;
}

export interface Surprise {
  /**
   * What is heard at a time, in Hz, or null in silence; asked a few times a second, times rising. `called`: drop to the low note now; `answered`:
   * what came of the last call; null: nothing new.
   */
  hear(nowSeconds: number, soundingHz: number | null): 'called' | SurpriseAnswer | null;
  readonly isCalled: boolean;
}

/** Out of any playing, at a moment nobody knows, a call to drop to one low note: does it speak? `tubeHz` is where it sounds. */
export function createSurprise(random: Random, tubeHz: number): Surprise {
  let last: number | null = null;
  let playedSeconds = 0;
  let dueSeconds = draw();
  let call: { atSeconds: number; beforeHz: number; partial: number | null; sinceSeconds: number } | null =
    null;

  function draw() {
    return LEAST_SECONDS + (MOST_SECONDS - LEAST_SECONDS) * random.uniform();
  }

  function over(answer: SurpriseAnswer): SurpriseAnswer {
    call = null;
    playedSeconds = 0;
    dueSeconds = draw();
    return answer;
  }

  return {
    get isCalled() {
      return call !== null;
    },
    hear(nowSeconds, soundingHz) {
      const passed = last === null ? 0 : nowSeconds - last;
      last = nowSeconds;
      if (!call) {
        if (soundingHz === null) return null;
        playedSeconds += passed;
        // What stands on the low note already has nowhere to drop to.
        if (playedSeconds < dueSeconds || partialOf(soundingHz, tubeHz) === 1) return null;
        call = { atSeconds: nowSeconds, beforeHz: soundingHz, partial: null, sinceSeconds: nowSeconds };
        return 'called';
      }
      // What was played when the call came sounds on for a moment.
      const isBefore =
        soundingHz !== null && Math.abs(centsBetween(soundingHz, call.beforeHz)) < SAME_PITCH_CENTS;
      const partial = soundingHz === null || isBefore ? null : partialOf(soundingHz, tubeHz);
      if (partial !== call.partial) Object.assign(call, { partial, sinceSeconds: nowSeconds });
      if (partial !== null && nowSeconds - call.sinceSeconds >= SPOKE_SECONDS)
        return over({ partial, afterSeconds: call.sinceSeconds - call.atSeconds });
      return nowSeconds - call.atSeconds >= WINDOW_SECONDS
        ? over({ partial: null, afterSeconds: null })
        : null;
    },
  };
}
