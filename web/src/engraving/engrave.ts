import type { WrittenPart } from '@inner-hum/core/exercise';
import {
  BarlineType,
  Beam,
  Formatter,
  Renderer,
  Stave,
  VexFlow,
  Voice,
  VoiceMode,
  type SVGContext,
} from 'vexflow/core';
import { xOf, type Anchor } from './anchors.ts';
import { drawDynamics } from './drawDynamics.ts';
import { drawText } from './drawText.ts';
import { drawOpenTies, drawTies } from './drawTies.ts';
import type { EngravedPhrase, EngraveOptions, EngravingWords } from './engraved.ts';
import { headWidth, layOut, type LaidBar } from './layOut.ts';
import { markAccidentals, noteOf, type DrawnPart } from './staveNote.ts';

VexFlow.setFonts('Bravura', 'Literata Variable');

/** Room over the staff for a note, and under it before the dynamics; a step of the staff is half a space. */
const STEP_PX = 5;
const STAFF_PX = 40;
const TOP_LINE = 77;
const BOTTOM_LINE = 64;
const LEAST_OVER_PX = 22;
const LEAST_UNDER_PX = 16;
const DYNAMICS_PX = 30;
/** The stem of a note with two heads reaches past the outer one. */
const STEM_PX = 26;
/** A mark at the end of a bar stands before its line; at the end of a phrase it keeps clear of the next one's. */
const BAR_END_PX = 6;
const PHRASE_END_PX = 16;
/** Words in the music stay readable where the music is small. */
const WORD_PX = 12;

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
  const hasWords = line.some(({ parts }) => parts.some(({ item }) => 'words' in item && item.words));
  const hasTimes = line.some(({ repeats }) => repeats > 1);
  // How often a phrase is played stands over the words in it.
  const timesRise = hasWords ? wordPx : 0;
  const over = reach.over + (hasWords ? wordPx : 0) + (hasTimes ? wordPx : 0);
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
      drawText(context, words.times(bar.repeats), end - 4, over - 8 - timesRise, wordPx, 'end', ink);
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
      drawText(context, said, note.getAbsoluteX(), wordsY, wordPx, 'start', ink);
  });
  for (const { part, bar } of drawn) drawWords(part, bar.phrase);
  const svg = context.svg;
  svg.remove();
  return svg;

  /** Vowels and lip positions stand over the staff, where they begin. */
  function drawWords(part: WrittenPart, phrase: number) {
    if (part.inItemBeat !== 0 || !('words' in part.item)) return;
    for (const { beat, text: said } of part.item.words ?? []) {
      const at = xOf(anchors, phrase, part.startBeat + beat);
      if (at !== null) drawText(context, said, at, over - 10, wordPx, 'start', ink);
    }
  }
}

/** What is to be done where a note alone does not say it. */
function wordOf(item: WrittenPart['item'], words: EngravingWords): string | null {
  if (item.kind === 'note' && (item.tone ?? item.vibrato))
    return [item.tone && words.subtone, item.vibrato && words.vibrato[item.vibrato]]
      .filter(Boolean)
      .join(', ');
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
  const hasTwoHeads = line.some(({ parts }) =>
    parts.some(({ item }) => item.kind === 'note' && item.fingered !== null),
  );
  const stem = hasTwoHeads ? STEM_PX : 0;
  return {
    over: LEAST_OVER_PX + steps(high - TOP_LINE) * STEP_PX + stem,
    under: LEAST_UNDER_PX + steps(BOTTOM_LINE - low) * STEP_PX + stem,
  };
}
