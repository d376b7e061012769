/**
 * Calls `paint` at most `perSecond` times a second until it is stopped. A ribbon grows by a pixel a frame of sound:
 * more than 30 drawings a second show nothing new and take time from the listening. Returns the stop.
 */
export function everyFrame(paint: () => void, perSecond = 30): () => void {
  // Half a screen frame of slack, so that 30 of 60 are really every second one.
  const leastMs = 1000 / perSecond - 8;
  let last = -Infinity;
  let request = 0;
  const tick = (now: number) => {
    request = requestAnimationFrame(tick);
    if (now - last < leastMs) return;
    last = now;
    paint();
  };
  request = requestAnimationFrame(tick);
  return () => cancelAnimationFrame(request);
}
