/** What the world gives each step: the time, and ids that were never used. */
export interface Moment {
  /** The audio clock, in seconds. */
  nowSeconds: number;
  /** A clock that runs even where the audio clock stands, in seconds. */
  wallSeconds: number;
  /** Time of day, in ms. */
  dateMs: number;
  takeId: string;
  roundId: string;
}
