import { spellNote, type NoteValue, type WrittenPart } from '@inner-hum/core/exercise';
import {
  Accidental,
  BarlineType,
  Beam,
  Curve,
  Dot,
  Formatter,
  Renderer,
  Stave,
  StaveNote,
  StaveTie,
  VexFlow,
  Voice,
  VoiceMode,
  type SVGContext,
} from 'vexflow/core';
import { drawDynamics, type Anchor } from './drawDynamics.ts';
import type { EngravedPhrase } from './Engraving.tsx';
import { headWidth, layOut, type LaidBar } from './layOut.ts';

VexFlow.setFonts('Bravura', 'Literata Variable');

/** Words that stand in the music, in the player's language. */
export interface EngravingWords {
  hear: string;
  hum: string;
  air: string;
  imagine: string;
  free: string;
  hold: string;
  /** "3 times". */
  times(count: number): string;
  /** The name of a fingering. */
  fingered(midi: number): string;
}

export interface EngraveOptions {
  width: number;
  scale: number;
  ink: string;
  mostLines: number;
  words: EngravingWords;
}

const VALUES: Record<NoteValue, string> = {
  4: 'w',
  3: 'h',
  2: 'h',
  1.5: 'q',
  1: 'q',
  0.75: '8',
  0.5: '8',
  0.25: '16',
};
const DOTTED: readonly NoteValue[] = [3, 1.5, 0.75];

/** Room over the staff for a note, and under it before the dynamics; a step of the staff is half a space. */
const STEP_PX = 5;
const STAFF_PX = 40;
const TOP_LINE = 77;
const BOTTOM_LINE = 64;
const LEAST_OVER_PX = 22;
const LEAST_UNDER_PX = 16;
const DYNAMICS_PX = 30;
/** A mark at the end of a bar stands before its line; at the end of a phrase it keeps clear of the next one's. */
const BAR_END_PX = 6;
const PHRASE_END_PX = 16;
/** Words in the music stay readable where the music is small. */
const WORD_PX = 12;

interface DrawnPart {
  part: WrittenPart;
  note: StaveNote;
  bar: LaidBar;
}

/** Engraves phrases as lines of at most `width`, each an SVG element scaled by `scale`. */
export function engrave(phrases: readonly EngravedPhrase[], options: EngraveOptions): SVGElement[] {
  const lines = layOut(phrases, options.width);
  return lines
    .slice(0, options.mostLines)
    .map((line, i) => engraveLine(line, lines[i - 1] ?? [], lines[i + 1] ?? [], options));
}

/** One line; what is tied or slurred over its ends is known from the lines beside it. */
function engraveLine(
  line: readonly LaidBar[],
  lineBefore: readonly LaidBar[],
  lineAfter: readonly LaidBar[],
  options: EngraveOptions,
): SVGElement {
  const { scale, ink, words } = options;
  const wordPx = WORD_PX / Math.min(1, scale);
  const holder = document.createElement('div');
  const renderer = new Renderer(holder, Renderer.Backends.SVG);
  const reach = reachOf(line);
  const { under } = reach;
  const saysOver = line.some(
    ({ repeats, parts }) => repeats > 1 || parts.some(({ item }) => 'words' in item && item.words),
  );
  const over = reach.over + (saysOver ? wordPx : 0);
  const says = line.some(({ parts }) => parts.some(({ item }) => wordOf(item, words) !== null));
  const height = over + STAFF_PX + under + DYNAMICS_PX + (says ? wordPx + 4 : 0) + 4;
  const head = headWidth(line[0].key);
  const width = head + line.reduce((sum, bar) => sum + bar.width, 0) + 2;
  renderer.resize(width * scale, height * scale);
  const context = renderer.getContext() as SVGContext;
  context.scale(scale, scale);
  context.setFillStyle(ink);
  context.setStrokeStyle(ink);

  const drawn: DrawnPart[] = [];
  const anchors: Anchor[] = [];
  let x = 0;
  line.forEach((bar, i) => {
    const stave = new Stave(x, over - STAFF_PX, i === 0 ? head + bar.width : bar.width);
    if (i === 0) {
      stave.addClef('treble');
      if (bar.key) stave.addKeySignature(bar.key);
    }
    stave.setEndBarType(bar.isPhraseEnd ? BarlineType.DOUBLE : BarlineType.SINGLE);
    if (i > 0) stave.setBegBarType(BarlineType.NONE);
    stave.setStyle({ fillStyle: ink, strokeStyle: ink });
    stave.setContext(context).draw();
    const parts = bar.parts.map((part) => ({ part, bar, note: noteOf(part, bar, ink) }));
    const voice = new Voice({ numBeats: 4, beatValue: 4 }).setMode(VoiceMode.SOFT);
    voice.addTickables(parts.map(({ note }) => note));
    markAccidentals(parts);
    const from = stave.getNoteStartX();
    const room = x + (i === 0 ? head + bar.width : bar.width) - from - 12;
    new Formatter().joinVoices([voice]).format([voice], Math.max(20, room));
    const beams = Beam.generateBeams(parts.map(({ note }) => note));
    voice.draw(context, stave);
    for (const beam of beams) beam.setStyle({ fillStyle: ink, strokeStyle: ink }).setContext(context).draw();
    drawn.push(...parts);
    const end = x + (i === 0 ? head + bar.width : bar.width);
    for (const { part, note } of parts)
      anchors.push({ phrase: bar.phrase, beat: part.startBeat, x: note.getAbsoluteX(), item: part });
    const last = bar.parts[bar.parts.length - 1];
    anchors.push({
      phrase: bar.phrase,
      beat: last.startBeat + last.value,
      x: end - (bar.isPhraseEnd ? PHRASE_END_PX : BAR_END_PX),
      item: null,
    });
    if (bar.isPhraseEnd && bar.repeats > 1)
      text(context, words.times(bar.repeats), end - 4, over - 8, wordPx, 'end', ink);
    x = end;
  });
  drawTies(drawn, context, ink);
  drawOpenTies(drawn, lineBefore, lineAfter, context, ink);
  drawDynamics(context, anchors, over + STAFF_PX + under + DYNAMICS_PX / 2, ink);
  const wordsY = over + STAFF_PX + under + DYNAMICS_PX + wordPx;
  drawn.forEach(({ part, note }, i) => {
    const said = part.inItemBeat === 0 ? wordOf(part.item, words) : null;
    // A fingering that stays is written once.
    const before = i > 0 ? wordOf(drawn[i - 1].part.item, words) : null;
    if (said !== null && (part.item.kind !== 'note' || said !== before))
      text(context, said, note.getAbsoluteX(), wordsY, wordPx, 'start', ink);
  });
  for (const { part } of drawn) drawWords(part);
  const svg = context.svg;
  svg.remove();
  return svg;

  /** Vowels and lip positions stand over the staff, where they begin. */
  function drawWords(part: WrittenPart) {
    if (part.inItemBeat !== 0 || !('words' in part.item)) return;
    const mine = anchors.filter((anchor) => anchor.item?.item === part.item || anchor.item === null);
    for (const { beat, text: said } of part.item.words ?? []) {
      const at = xAtBeat(mine, part.startBeat + beat);
      if (at !== null) text(context, said, at, over - 10, wordPx, 'start', ink);
    }
  }
}

/** Where a beat of a phrase stands on a line; null where it is on another. */
function xAtBeat(anchors: readonly Anchor[], beat: number): number | null {
  const after = anchors.findIndex((anchor) => anchor.beat >= beat);
  if (after < 0) return null;
  if (after === 0) return anchors[0].beat === beat ? anchors[0].x : null;
  const [from, to] = [anchors[after - 1], anchors[after]];
  return from.x + ((beat - from.beat) / Math.max(1e-9, to.beat - from.beat)) * (to.x - from.x);
}

/** What is to be done where a note alone does not say it. */
function wordOf(item: WrittenPart['item'], words: EngravingWords): string | null {
  if (item.kind === 'note') return item.fingered === null ? null : words.fingered(item.fingered);
  if (item.kind === 'rest') return item.breath === 'none' ? words.hold : null;
  return words[item.kind];
}

/** How far notes reach over and under the staff. */
function reachOf(line: readonly LaidBar[]): { over: number; under: number } {
  const notes = line.flatMap(({ parts, shift }) =>
    parts.flatMap(({ item }) =>
      'writtenMidi' in item
        ? [
            item.writtenMidi + shift,
            ...(item.kind === 'note' && item.fingered !== null ? [item.fingered] : []),
          ]
        : [],
    ),
  );
  // Seven steps of the staff an octave.
  const steps = (halfSteps: number) => (halfSteps * 7) / 12;
  const high = Math.max(TOP_LINE, ...notes);
  const low = Math.min(BOTTOM_LINE, ...notes);
  return {
    over: LEAST_OVER_PX + steps(high - TOP_LINE) * STEP_PX,
    under: LEAST_UNDER_PX + steps(BOTTOM_LINE - low) * STEP_PX,
  };
}

const keyName = (midi: number, bar: LaidBar) => {
  const { letter, alter, octave } = spellNote(midi, bar.key);
  const sign = alter > 0 ? '#'.repeat(alter) : 'b'.repeat(-alter);
  return { name: `${letter.toLowerCase()}${sign}/${octave}`, letter, sign, octave };
};

function noteOf({ item, value }: WrittenPart, bar: LaidBar, ink: string): StaveNote {
  const isDotted = DOTTED.includes(value);
  const duration = `${VALUES[value]}${isDotted ? 'd' : ''}`;
  const style = { fillStyle: ink, strokeStyle: ink };
  const isSounded =
    item.kind === 'note' || item.kind === 'air' || item.kind === 'hum' || item.kind === 'hear';
  let note: StaveNote;
  if (isSounded) {
    const own = keyName(item.writtenMidi + bar.shift, bar).name;
    const fingered = item.kind === 'note' && item.fingered !== null ? keyName(item.fingered, bar).name : null;
    const head = item.kind === 'air' ? '/x2' : '';
    const diamond = value >= 2 ? '/d0' : '/d2';
    note = new StaveNote({
      keys: fingered === null ? [`${own}${head}`] : [`${fingered}${diamond}`, own],
      duration,
      autoStem: true,
    });
  } else note = new StaveNote({ keys: ['b/4'], duration: `${duration}r` });
  if (isDotted) Dot.buildAndAttach([note], { all: true });
  note.setStyle(style);
  note.setLedgerLineStyle({ ...style, lineWidth: 1.2 });
  return note;
}

/** Accidentals the key does not give; within a bar each is written once. */
function markAccidentals(parts: readonly DrawnPart[]): void {
  const shown = new Map<string, string>();
  for (const { part, note, bar } of parts) {
    const { item } = part;
    if (!('writtenMidi' in item) || item.kind === 'imagine') continue;
    const midis =
      item.kind === 'note' && item.fingered !== null ? [item.fingered, item.writtenMidi] : [item.writtenMidi];
    midis.forEach((midi, i) => {
      const { letter, sign, octave } = keyName(midi + bar.shift, bar);
      const place = `${letter}${octave}`;
      const usual = bar.key && isOfKey(letter, sign, bar) ? sign : '';
      const before = shown.get(place) ?? usual;
      shown.set(place, sign);
      // What is only tied on needs no new one.
      if (sign !== before && part.inItemBeat === 0)
        note.addModifier(new Accidental(sign === '' ? 'n' : sign), i);
    });
  }
}

/** Whether the key writes this letter with this sign: the note is then of its scale. */
function isOfKey(letter: string, sign: string, { key }: LaidBar): boolean {
  if (!key) return false;
  return Array.from({ length: 12 }, (_, i) => spellNote(60 + i, key)).some(
    (spelled) =>
      spelled.letter === letter &&
      (spelled.alter > 0 ? '#' : spelled.alter < 0 ? 'b' : '') === sign &&
      Math.abs(spelled.alter) <= 1,
  );
}

/** What of a tie or slur lies on this line where it goes over the end of it. */
function drawOpenTies(
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
function drawTies(drawn: readonly DrawnPart[], context: SVGContext, ink: string): void {
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

function text(
  context: SVGContext,
  said: string,
  x: number,
  y: number,
  size: number,
  anchor: 'start' | 'end',
  ink: string,
): void {
  const element = document.createElementNS('http://www.w3.org/2000/svg', 'text');
  element.setAttribute('x', String(x));
  element.setAttribute('y', String(y));
  element.setAttribute('font-size', `${size}px`);
  element.setAttribute('font-family', '"Atkinson Hyperlegible Next Variable", Bravura, sans-serif');
  element.setAttribute('text-anchor', anchor);
  element.setAttribute('fill', ink);
  element.setAttribute('stroke', 'none');
  element.textContent = said;
  context.svg.append(element);
}
