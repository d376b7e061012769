import { markFraction, type DynamicMark } from '@inner-hum/core/exercise';
import type { SVGContext } from 'vexflow/core';
import { xOf, type Anchor } from './anchors.ts';

const SVG = 'http://www.w3.org/2000/svg';
const MARK_SIZE_PX = 19;
/** Half of what a mark takes of the line. */
const HALF_LETTER_PX = 6;
const HAIRPIN_HALF_PX = 6;
/** Hairpins shorter than this say less than their marks. */
const LEAST_HAIRPIN_PX = 10;

interface PlacedMark {
  phrase: number;
  beat: number;
  mark: DynamicMark;
  /** Notes written without a rest between belong to one line of loudness. */
  chain: number;
}

/** Dynamic marks under the staff and hairpins between them, also where one begins or ends on another line. */
export function drawDynamics(
  context: SVGContext,
  anchors: readonly Anchor[],
  middleY: number,
  ink: string,
): void {
  const marks = placedMarks(anchors);
  const first = anchors.at(0);
  const last = anchors.at(-1);
  if (!first || !last) return;
  let free = 0;
  marks.forEach((here, i) => {
    const x = xOf(anchors, here.phrase, here.beat);
    const before = marks.at(i - 1);
    // After a rest a level that goes on is not written again.
    const isSame = i > 0 && before?.phrase === here.phrase && before.mark === here.mark;
    // Where two would touch, the one that stands already stays.
    if (x !== null && !isSame && x - widthOf(here.mark) >= free) {
      drawMark(context, here.mark, x, middleY, ink);
      free = x + widthOf(here.mark) - 2;
    }
    const next = marks.at(i + 1);
    if (!next || next.chain !== here.chain || next.mark === here.mark) return;
    const to = xOf(anchors, next.phrase, next.beat);
    if (x === null && to === null) return;
    const from = x === null ? Math.max(first.x - 12, 0) : x + widthOf(here.mark);
    const end = to === null ? last.x : to - widthOf(next.mark);
    if (end - from < LEAST_HAIRPIN_PX) return;
    const grows = markFraction(next.mark) > markFraction(here.mark);
    drawHairpin(context, from, end, middleY, grows, ink);
  });
}

const widthOf = (mark: DynamicMark) => HALF_LETTER_PX * mark.length + 2;

/** Every written mark of the notes that begin or go on on this line. */
function placedMarks(anchors: readonly Anchor[]): PlacedMark[] {
  const marks: PlacedMark[] = [];
  let chain = 0;
  let [phraseBefore, endBefore] = [-1, 0];
  const seen = new Set<string>();
  for (const { phrase, item } of anchors) {
    if (item?.item.kind !== 'note' || seen.has(`${phrase} ${item.index}`)) continue;
    seen.add(`${phrase} ${item.index}`);
    const start = item.startBeat - item.inItemBeat;
    const note = item.item;
    if (phraseBefore !== phrase || Math.abs(endBefore - start) > 1e-6) chain++;
    [phraseBefore, endBefore] = [phrase, start + note.lengthBeats];
    for (const { beat, mark } of note.dynamics) {
      const last = marks.at(-1);
      const at = start + beat;
      // Where one note ends and the next begins at one mark, it is written once.
      if (last?.chain === chain && last.beat === at && last.mark === mark) continue;
      marks.push({ phrase, beat: at, mark, chain });
    }
  }
  return marks.filter((mark, i) => {
    const [left, right] = [marks.at(i - 1), marks.at(i + 1)];
    const inside =
      i > 0 && left?.chain === mark.chain && right?.chain === mark.chain && left.mark === mark.mark;
    // A level that only goes on has nothing to say in its middle.
    return !(inside && right.mark === mark.mark);
  });
}

function drawMark(context: SVGContext, mark: string, x: number, middleY: number, ink: string): void {
  const element = document.createElementNS(SVG, 'text');
  element.setAttribute('x', String(x));
  element.setAttribute('y', String(middleY + 6));
  element.setAttribute('font-family', '"Literata Variable", serif');
  element.setAttribute('font-style', 'italic');
  element.setAttribute('font-weight', '700');
  element.setAttribute('font-size', `${MARK_SIZE_PX}px`);
  element.setAttribute('text-anchor', 'middle');
  element.setAttribute('fill', ink);
  element.setAttribute('stroke', 'none');
  element.textContent = mark;
  context.svg.append(element);
}

function drawHairpin(
  context: SVGContext,
  from: number,
  to: number,
  middleY: number,
  grows: boolean,
  ink: string,
): void {
  const [tip, mouth] = grows ? [from, to] : [to, from];
  const element = document.createElementNS(SVG, 'path');
  element.setAttribute(
    'd',
    `M${mouth} ${middleY - HAIRPIN_HALF_PX}L${tip} ${middleY}L${mouth} ${middleY + HAIRPIN_HALF_PX}`,
  );
  element.setAttribute('fill', 'none');
  element.setAttribute('stroke', ink);
  element.setAttribute('stroke-width', '1.4');
  element.setAttribute('data-hairpin', grows ? 'grow' : 'fade');
  context.svg.append(element);
}
