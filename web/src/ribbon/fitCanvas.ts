/**
 * Gives a canvas the pixels of its screen and a context that draws in CSS pixels. The ratio is whole, so that a
 * scrolling ribbon can be moved by whole pixels.
 */
export function fitCanvas(
  canvas: HTMLCanvasElement,
  width: number,
  height: number,
): CanvasRenderingContext2D {
  const ratio = window.devicePixelRatio > 1.25 ? 2 : 1;
  const ctx = canvas.getContext('2d');
  if (!ctx) throw new Error('This browser has no 2D canvas.');
  const [wide, high] = [Math.round(width * ratio), Math.round(height * ratio)];
  // One that has its size keeps its memory: another costs the beginning of a take a third of its time.
  if (canvas.width === wide && canvas.height === high && 'reset' in ctx) ctx.reset();
  else [canvas.width, canvas.height] = [wide, high];
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  return ctx;
}
