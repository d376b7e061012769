/** How far the mouthpiece is moved to measure what that does, in tenths of a millimetre. */
export const USUAL_PULL = 10;
