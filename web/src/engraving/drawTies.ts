import type { WrittenPart } from '@inner-hum/core/exercise';
import { Curve, StaveTie, type StaveNote, type SVGContext } from 'vexflow/core';
import type { LaidBar } from './layOut.ts';
import type { DrawnPart } from './staveNote.ts';

/** What of a tie or slur lies on this line where it goes over the end of it. */
export function drawOpenTies(
  drawn: readonly DrawnPart[],
  lineBefore: readonly LaidBar[],
  lineAfter: readonly LaidBar[],
  context: SVGContext,
  ink: string,
): void {
  const draw = (notes: { firstNote?: StaveNote; lastNote?: StaveNote }) =>
    new StaveTie({ ...notes, firstIndexes: [0], lastIndexes: [0] })
      .setStyle({ fillStyle: ink, strokeStyle: ink })
      .setContext(context)
      .draw();
  const before = lineBefore.at(-1);
  const after = lineAfter.at(0);
  const [first, last] = [drawn[0], drawn[drawn.length - 1]];
  const left = before?.parts.at(-1);
  const right = after?.parts.at(0);
  if (left && before?.phrase === first.bar.phrase && isJoined(left, first.part))
    draw({ lastNote: first.note });
  if (right && after?.phrase === last.bar.phrase && isJoined(last.part, right))
    draw({ firstNote: last.note });
}

/** Whether two parts that follow each other are one tone, or one is slurred to from the other. */
const isJoined = (left: WrittenPart, right: WrittenPart) =>
  isPitched(left) && (left.goesOn || (right.item.kind === 'note' && right.item.attack === 'slurred'));

/** Ties within an item; one slur over all that is played out of one note. */
export function drawTies(drawn: readonly DrawnPart[], context: SVGContext, ink: string): void {
  const style = { fillStyle: ink, strokeStyle: ink };
  let slurFrom: number | null = null;
  drawn.forEach((here, i) => {
    const next = drawn.at(i + 1);
    const joined = next?.bar.phrase === here.bar.phrase && isJoined(here.part, next.part);
    if (joined && here.part.goesOn)
      new StaveTie({ firstNote: here.note, lastNote: next.note, firstIndexes: [0], lastIndexes: [0] })
        .setStyle(style)
        .setContext(context)
        .draw();
    if (joined && !here.part.goesOn) slurFrom ??= firstPartOf(drawn, i);
    if (!joined && slurFrom !== null) {
      drawSlur(drawn[slurFrom].note, here.note, context, ink);
      slurFrom = null;
    }
  });
}

/** Where on the line the item begins that a part belongs to. */
function firstPartOf(drawn: readonly DrawnPart[], at: number): number {
  let first = at;
  while (first > 0 && drawn[first].part.inItemBeat > 0) first--;
  return first;
}

function drawSlur(from: StaveNote, to: StaveNote, context: SVGContext, ink: string): void {
  // The longer the higher, as it has more to pass over.
  const rise = Math.min(34, 8 + 0.05 * (to.getAbsoluteX() - from.getAbsoluteX()));
  new Curve(from, to, {
    cps: [
      { x: 0, y: rise },
      { x: 0, y: rise },
    ],
  })
    .setStyle({ fillStyle: ink, strokeStyle: ink })
    .setContext(context)
    .draw();
}

const isPitched = ({ item }: WrittenPart) =>
  item.kind === 'note' || item.kind === 'hum' || item.kind === 'hear' || item.kind === 'air';
