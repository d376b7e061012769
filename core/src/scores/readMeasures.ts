import { CoreError } from '../signal/index.ts';
import { keyOfFifths } from './keyFifths.ts';
import type { Measure, OpenRoad, PartState } from './measure.ts';
import { metreBeats } from './metre.ts';
import { readBarline, readDirection, readSound } from './readSigns.ts';
import { MOST_NOTES } from './scorePart.ts';
import { PLAIN_ROAD } from './unroll.ts';
import { child, childrenOf, numberOf, textOf, type XmlElement } from './xml.ts';

const STEPS: Record<string, number> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };

/** The measures of a part one by one, with what its first one says of metre and transposition. */
export function readMeasures(measures: readonly XmlElement[]) {
  const state: PartState = {
    divisions: 1,
    transposition: 0,
    key: null,
    openSlurs: new Set(),
    metreBeats: 4,
    endings: [],
  };
  let noteCount = 0;
  let firstBeats: number | null = null;
  let transposition: number | null = null;
  const read = measures.map((measure, i) => {
    const result = readMeasure(measure, i, state);
    firstBeats ??= state.metreBeats;
    transposition ??= state.transposition;
    noteCount += result.notes.length;
    if (noteCount > MOST_NOTES)
      throw new CoreError('score-unreadable', `A part has more than ${MOST_NOTES} notes.`, {
        name: 'tooManyNotes',
        values: { most: MOST_NOTES },
      });
    return result;
  });
  return { measures: read, firstBeats, transposition: transposition ?? 0 };
}

/** What no music has is passed over: a note of more beats, a horn that sounds farther off. */
const MOST_NOTE_BEATS = 1000;
const MOST_TRANSPOSITION = 48;

function readMeasure(element: XmlElement, index: number, state: PartState): Measure {
  const measure: Measure = {
    number: element.attributes.number ?? String(index + 1),
    lengthBeats: 0,
    key: null,
    notes: [],
    dynamics: [],
    road: { ...PLAIN_ROAD },
    tempoBpm: null,
  };
  const road: OpenRoad = { ...PLAIN_ROAD };
  let endsEnding = false;
  let at = 0;
  let lastStart = 0;
  const beats = (each: XmlElement) => {
    const length = (numberOf(each, 'duration') ?? 0) / state.divisions;
    return length >= 0 && length <= MOST_NOTE_BEATS ? length : 0;
  };
  for (const each of element.children) {
    if (each.name === 'attributes') readAttributes(each, state);
    if (each.name === 'backup') at = Math.max(0, at - beats(each));
    if (each.name === 'forward') at += beats(each);
    if (each.name === 'direction') readDirection(each, at, state, measure, road);
    if (each.name === 'sound') readSound(each, measure, road);
    if (each.name === 'barline') endsEnding = readBarline(each, state, road) || endsEnding;
    if (each.name === 'note' && !child(each, 'grace') && !child(each, 'cue')) {
      const length = beats(each);
      const inChord = child(each, 'chord') !== null;
      const start = inChord ? lastStart : at;
      const note = readNote(each, start, length, state);
      if (note) measure.notes.push(note);
      lastStart = start;
      at = inChord ? Math.max(at, start + length) : start + length;
    }
    measure.lengthBeats = Math.max(measure.lengthBeats, at);
  }
  measure.key = state.key;
  measure.road = { ...road, endings: [...state.endings] };
  if (endsEnding) state.endings = [];
  if (measure.lengthBeats === 0) measure.lengthBeats = state.metreBeats;
  return measure;
}

function readAttributes(element: XmlElement, state: PartState): void {
  state.divisions = Math.max(1, numberOf(element, 'divisions') ?? state.divisions);
  const key = child(element, 'key');
  const fifths = key && numberOf(key, 'fifths');
  if (fifths !== null) state.key = keyOfFifths(fifths);
  const time = child(element, 'time');
  const [top, bottom] = [time && textOf(time, 'beats'), time && numberOf(time, 'beat-type')];
  if (top && bottom) {
    // "3+2" is five.
    const count = top.split('+').reduce((all, part) => all + Number(part), 0);
    state.metreBeats = metreBeats(count, bottom) ?? state.metreBeats;
  }
  const transpose = child(element, 'transpose');
  if (transpose) {
    const halfSteps =
      (numberOf(transpose, 'chromatic') ?? 0) + 12 * (numberOf(transpose, 'octave-change') ?? 0);
    state.transposition = Math.abs(halfSteps) <= MOST_TRANSPOSITION ? halfSteps : 0;
  }
  if (Math.abs(state.transposition ?? 0) > MOST_TRANSPOSITION) state.transposition = 0;
}

function readNote(
  element: XmlElement,
  startBeat: number,
  lengthBeats: number,
  state: PartState,
): Measure['notes'][number] | null {
  const slurs = childrenOf(element, 'notations').flatMap((notations) => childrenOf(notations, 'slur'));
  const slurred = state.openSlurs.size > 0;
  for (const { attributes } of slurs) {
    const number = attributes.number ?? '1';
    if (attributes.type === 'stop') state.openSlurs.delete(number);
    if (attributes.type === 'start') state.openSlurs.add(number);
  }
  const pitch = child(element, 'pitch');
  const step = pitch && STEPS[textOf(pitch, 'step') ?? ''];
  const octave = pitch && numberOf(pitch, 'octave');
  if (pitch === null || step === null || octave === null || lengthBeats <= 0) return null;
  const writtenMidi = Math.round(12 * (octave + 1) + step + (numberOf(pitch, 'alter') ?? 0));
  if (!(writtenMidi >= 0 && writtenMidi <= 127)) return null;
  const ties = childrenOf(element, 'tie').map(({ attributes }) => attributes.type);
  return {
    startBeat,
    lengthBeats,
    writtenMidi,
    soundingMidi: writtenMidi + state.transposition,
    slurred,
    voice: textOf(element, 'voice') ?? '1',
    staff: numberOf(element, 'staff') ?? 1,
    tiedBack: ties.includes('stop'),
    tiedOn: ties.includes('start'),
    isDiamond: textOf(element, 'notehead') === 'diamond',
  };
}
