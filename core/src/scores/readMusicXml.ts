import { CoreError, type Reason } from '../signal/index.ts';
import { linesOf } from './partLines.ts';
import { readMeasures } from './readMeasures.ts';
import { MOST_BARS, MOST_LETTERS, MOST_PARTS, type ReadScore } from './scorePart.ts';
import { unroll } from './unroll.ts';
import { child, childrenOf, readXml, textOf, type XmlElement } from './xml.ts';

const refuse = (sentence: string, name: Reason['name'], values: Reason['values'] = {}) =>
  new CoreError('score-unreadable', sentence, { name, values });

/** Reads MusicXML, by measures or by parts. Throws `score-unreadable` with a sentence. */
export function readMusicXml(text: string): ReadScore {
  const root = readXml(text);
  if (root.name !== 'score-partwise' && root.name !== 'score-timewise')
    throw refuse('The XML file is no score: save it from its program as MusicXML.', 'notScore');
  const names = partNames(root);
  const parts = partsOf(root);
  if (parts.length === 0) throw refuse('The score has no part.', 'noNotes');
  if (parts.length > MOST_PARTS)
    throw refuse(`The score has ${parts.length} parts; at most ${MOST_PARTS} are read.`, 'tooManyParts', {
      count: parts.length,
      most: MOST_PARTS,
    });
  let tempoBpm: number | null = null;
  let beatsPerBar: number | null = null;
  const read = parts.flatMap(({ id, measures }) => {
    const part = readMeasures(measures);
    tempoBpm ??= part.measures.find((measure) => measure.tempoBpm !== null)?.tempoBpm ?? null;
    beatsPerBar ??= part.firstBeats;
    const roads = part.measures.map(({ road }) => road);
    return linesOf(part.measures, unroll(roads, MOST_BARS), names.get(id) ?? id, part.transposition);
  });
  if (read.every(({ notes }) => notes.length === 0))
    throw refuse('The score holds no pitched note.', 'noNotes');
  const title = textOf(child(root, 'work') ?? root, 'work-title') ?? textOf(root, 'movement-title') ?? '';
  return {
    title: title.slice(0, MOST_LETTERS),
    tempoBpm,
    beatsPerBar: beatsPerBar ?? 4,
    parts: read.filter(({ notes }) => notes.length > 0),
  };
}

function partNames(root: XmlElement): Map<string, string> {
  const list = child(root, 'part-list');
  return new Map(
    (list ? childrenOf(list, 'score-part') : []).map((part) => [
      part.attributes.id ?? '',
      textOf(part, 'part-name') ?? part.attributes.id ?? '',
    ]),
  );
}

/** The measures of every part, whichever way the file is ordered. */
function partsOf(root: XmlElement): { id: string; measures: readonly XmlElement[] }[] {
  if (root.name === 'score-partwise')
    return childrenOf(root, 'part').map((part) => ({
      id: part.attributes.id ?? '',
      measures: childrenOf(part, 'measure'),
    }));
  const parts = new Map<string, XmlElement[]>();
  for (const measure of childrenOf(root, 'measure'))
    for (const part of childrenOf(measure, 'part')) {
      const id = part.attributes.id ?? '';
      parts.set(id, [...(parts.get(id) ?? []), { ...part, name: 'measure', attributes: measure.attributes }]);
    }
  return [...parts].map(([id, measures]) => ({ id, measures }));
}
