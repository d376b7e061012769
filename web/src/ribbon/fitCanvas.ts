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
  canvas.width = Math.round(width * ratio);
  canvas.height = Math.round(height * ratio);
  const ctx = canvas.getContext('2d');
  if (!ctx) throw new Error('This browser has no 2D canvas.');
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  return ctx;
}
