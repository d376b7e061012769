/** From a moment on the tone goes away from what was meant, and stays there. */
export interface SimulatedSwerve {
  /** Seconds after the tone's onset. */
  atSeconds: number;
  /** How long it takes to go there. */
  overSeconds: number;
  cents: number;
  levelDb: number;
  /** Added to the noise against the tone. */
  breathDb: number;
}

/** How much of a swerve has come about: 0 before, 1 after, smooth between. */
export function swerveShare(swerve: SimulatedSwerve, seconds: number): number {
  const way = Math.max(0, Math.min(1, (seconds - swerve.atSeconds) / swerve.overSeconds));
  return way * way * (3 - 2 * way);
}
