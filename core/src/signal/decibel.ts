/** Power ratio to decibels; powers at or under 1e-20 (-200 dB) are held there so that silence stays finite. */
export function dbFromPower(power: number): number {
  return 10 * Math.log10(Math.max(power, 1e-20));
}

/** Decibels to power ratio. */
export function powerFromDb(db: number): number {
  return 10 ** (db / 10);
}

/** Decibels to amplitude ratio. */
export function amplitudeFromDb(db: number): number {
  return 10 ** (db / 20);
}
