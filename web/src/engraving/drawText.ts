import type { SVGContext } from 'vexflow/core';

const SVG = 'http://www.w3.org/2000/svg';
const WORDS = '"Atkinson Hyperlegible Next Variable", sans-serif';
/** The engraver's own signs stand on the middle of a staff line, not on a line of type. */
const SIGN_RISE = 0.32;
const SIGNS = /([\u266d\u266f])/;

/** Words in the music, in type; flats and sharps among them by the engraver's font, raised to the line. */
export function drawText(
  context: SVGContext,
  said: string,
  x: number,
  y: number,
  size: number,
  anchor: 'start' | 'end',
  ink: string,
): void {
  const element = document.createElementNS(SVG, 'text');
  const set = (name: string, value: string | number) => element.setAttribute(name, String(value));
  set('x', x);
  set('y', y);
  set('font-size', `${size}px`);
  set('font-family', WORDS);
  set('text-anchor', anchor);
  set('fill', ink);
  set('stroke', 'none');
  let risen = 0;
  for (const part of said.split(SIGNS)) {
    if (part === '') continue;
    const span = document.createElementNS(SVG, 'tspan');
    const rise = SIGNS.test(part) ? SIGN_RISE * size : 0;
    if (rise > 0) span.setAttribute('font-family', 'Bravura');
    span.setAttribute('dy', String(risen - rise));
    risen = rise;
    span.textContent = part;
    element.append(span);
  }
  context.svg.append(element);
}
