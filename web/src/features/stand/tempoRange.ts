/** Of the metronome, in beats a minute. */
export const SLOWEST_BPM = 30;
export const FASTEST_BPM = 200;
