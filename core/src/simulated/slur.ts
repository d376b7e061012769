/** A change of pitch inside one tone. */
export interface SimulatedSlur {
  /** When the new pitch begins, in seconds after the tone's onset. */
  atSeconds: number;
  soundingHz: number;
  partial: number;
  /** How long the change takes from pitch to pitch, and how far it goes past the new one before it settles. */
  glideMs: number;
  overshootCents: number;
  /** Added to the player's tendency on this note. */
  cents: number;
}

const SETTLE_SECONDS = 0.15;
/** Within this distance the old pitch is not left yet, and the new one is there. */
const NEAR_CENTS = 20;

/** Where the pitch is on its way from one note to the next, in cents above the new one. */
export function slurCents(fromCents: number, slur: SimulatedSlur, since: number): number {
  const glide = slur.glideMs / 1000;
  if (since < glide) return fromCents * (1 - since / glide);
  const settling = (since - glide) / SETTLE_SECONDS;
  return settling >= 1 ? 0 : -Math.sign(fromCents) * slur.overshootCents * Math.sin(Math.PI * settling);
}

/** slurMs by construction: from 20 cents off the old pitch until the new one is not left by 20 cents again; 0 where it never is. */
export function slurMsOf(fromCents: number, slur: SimulatedSlur): number {
  const distance = Math.abs(fromCents);
  if (distance <= 2 * NEAR_CENTS && slur.overshootCents <= NEAR_CENTS) return 0;
  const left = (slur.glideMs * NEAR_CENTS) / distance;
  const arrived = slur.glideMs - left;
  if (slur.overshootCents <= NEAR_CENTS) return arrived - left;
  const back = 1 - Math.asin(NEAR_CENTS / slur.overshootCents) / Math.PI;
  return slur.glideMs + 1000 * SETTLE_SECONDS * back - left;
}
