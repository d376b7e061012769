import { playableBpm } from './scorePart.ts';
import { DYNAMIC_MARKS, type DynamicMark } from '../exercise/index.ts';
import type { Measure, OpenRoad, PartState } from './measure.ts';
import { child, childrenOf, numberOf, textOf, type XmlElement } from './xml.ts';

/** Marks that scores have besides ours: what they come nearest to. */
const OTHER_MARKS: Record<string, DynamicMark> = {
  pppp: 'ppp',
  ppppp: 'ppp',
  pppppp: 'ppp',
  ffff: 'fff',
  fffff: 'fff',
  ffffff: 'fff',
  sf: 'f',
  sfz: 'f',
  sffz: 'ff',
  fz: 'f',
  rf: 'f',
  rfz: 'f',
  fp: 'p',
  sfp: 'p',
  sfpp: 'pp',
};

const markOf = (name: string): DynamicMark | null =>
  DYNAMIC_MARKS.find((mark) => mark === name) ?? OTHER_MARKS[name] ?? null;

/** Reads marks, hairpins, tempo and where the music goes on. */
export function readDirection(
  element: XmlElement,
  at: number,
  state: PartState,
  measure: Measure,
  road: OpenRoad,
): void {
  const beat = at + (numberOf(element, 'offset') ?? 0) / state.divisions;
  for (const type of childrenOf(element, 'direction-type'))
    for (const { name, attributes, children, ...sign } of type.children) {
      if (name === 'dynamics') {
        const mark = children.map((each) => markOf(each.name)).find((each) => each !== null);
        if (mark) measure.dynamics.push({ beat, mark, wedge: null });
      }
      if (name === 'wedge') {
        const wedge = (['crescendo', 'diminuendo', 'stop'] as const).find((each) => each === attributes.type);
        if (wedge) measure.dynamics.push({ beat, mark: null, wedge });
      }
      if (name === 'segno') road.segno = true;
      if (name === 'coda') road.coda ||= !/to\s*coda/i.test(sign.text);
      if (name === 'metronome')
        measure.tempoBpm ??= playableBpm(metronomeOf({ name, attributes, children, ...sign }) ?? undefined);
    }
  const sound = child(element, 'sound');
  if (sound) readSound(sound, measure, road);
}

const UNITS: Record<string, number> = { whole: 4, half: 2, quarter: 1, eighth: 0.5, '16th': 0.25 };

/** Quarter notes a minute of a metronome mark; null where it is no plain figure. */
function metronomeOf(element: XmlElement): number | null {
  const unit = UNITS[textOf(element, 'beat-unit') ?? ''];
  const perMinute = Number(/\d+(\.\d+)?/.exec(textOf(element, 'per-minute') ?? '')?.[0]);
  const dotted = child(element, 'beat-unit-dot') ? 1.5 : 1;
  return unit && perMinute > 0 ? unit * dotted * perMinute : null;
}

/** Reads a `sound` element: tempo (the first of a measure counts), and where the music jumps. */
export function readSound({ attributes }: XmlElement, measure: Measure, road: OpenRoad): void {
  const tempo = Number(attributes.tempo);
  measure.tempoBpm ??= playableBpm(tempo);
  if (attributes.dacapo === 'yes') road.dacapo = true;
  if (attributes.dalsegno) road.dalsegno = true;
  if (attributes.segno) road.segno = true;
  if (attributes.coda) road.coda = true;
  if (attributes.tocoda) {
    road.toCoda = true;
    road.coda = false;
  }
  if (attributes.fine) road.fine = true;
}

/** Reads a bar line; true where an ending ends with it. */
export function readBarline(element: XmlElement, state: PartState, road: OpenRoad): boolean {
  const repeat = child(element, 'repeat');
  if (repeat?.attributes.direction === 'forward') road.forward = true;
  if (repeat?.attributes.direction === 'backward')
    road.backward = Math.min(20, Math.max(2, Math.round(Number(repeat.attributes.times ?? 2)) || 2));
  const ending = child(element, 'ending');
  if (ending?.attributes.type === 'start')
    state.endings = (ending.attributes.number ?? '1')
      .split(/[,\s]+/)
      .map(Number)
      .filter((number) => number > 0);
  return ending?.attributes.type === 'stop' || ending?.attributes.type === 'discontinue';
}
