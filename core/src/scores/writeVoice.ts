import {
  spellNote,
  type ExerciseItem,
  type MajorKey,
  type NoteValue,
  type Phrase,
  type WrittenPart,
} from '../exercise/index.ts';
import { divisions } from './divisions.ts';
import { dynamicSigns, type DynamicSign } from './dynamicsWritten.ts';
import { xml, type NewXml } from './xml.ts';

const TYPES: Record<NoteValue, [string, dots: number]> = {
  4: ['whole', 0],
  3: ['half', 1],
  2: ['half', 0],
  1.5: ['quarter', 1],
  1: ['quarter', 0],
  0.75: ['eighth', 1],
  0.5: ['eighth', 0],
  0.25: ['16th', 0],
};

/** Words that stand in the music where notes do not say it, in the player's language. */
export interface ScoreWords {
  title: string;
  part: string;
  air: string;
  hum: string;
  hear: string;
  imagine: string;
  free: string;
  subtone: string;
}

type Slur = 'start' | 'stop';

/** Where slurs begin and end, by item: out of a note into all that are slurred to it. */
function slursOf({ items }: Phrase): Slur[][] {
  const goesOn = (i: number) => {
    const [item, next] = [items.at(i), items[i + 1] as ExerciseItem | undefined];
    return item?.kind === 'note' && next?.kind === 'note' && next.attack === 'slurred';
  };
  return items.map((_, i) => [
    ...(i > 0 && goesOn(i - 1) && !goesOn(i) ? (['stop'] as const) : []),
    ...(goesOn(i) && !(i > 0 && goesOn(i - 1)) ? (['start'] as const) : []),
  ]);
}

/** The signs of every note; a mark that only says what went before is not written again. */
export function signsOf({ items }: Phrase): DynamicSign[][] {
  let last: string | null = null;
  return items.map((item) => {
    if (item.kind !== 'note') return [];
    return dynamicSigns(item).filter((sign) => {
      if (sign.kind !== 'mark') return true;
      const isNews = sign.mark !== last;
      last = sign.mark;
      return isNews;
    });
  });
}

/** What sounds in a bar, with its signs and words. */
export function voice(
  parts: readonly WrittenPart[],
  phrase: Phrase,
  signs: readonly DynamicSign[][],
  shift: number,
  words: ScoreWords,
  staff: number | null,
): NewXml[] {
  const slurs = slursOf(phrase);
  return parts.flatMap((part) => {
    const { item, index, inItemBeat, value, goesOn } = part;
    const here = signs[index].filter(
      ({ beat }) => beat >= inItemBeat && (!goesOn || beat < inItemBeat + value),
    );
    const before = here.filter(({ beat }) => beat < inItemBeat + value);
    const after = here.filter(({ beat }) => beat >= inItemBeat + value);
    const said = inItemBeat === 0 ? saidOf(item, words) : [];
    return [
      ...said.map((text) => direction([xml('words', text)], 0, 'above')),
      ...before.map((sign) => signElement(sign, sign.beat - inItemBeat)),
      noteElement(part, { phrase, shift, slurs: slurs[index], staff, voice: 1 }),
      ...after.map((sign) => signElement(sign, 0)),
    ];
  });
}

const direction = (type: readonly NewXml[], offsetBeats: number, placement: 'above' | 'below') =>
  xml(
    'direction',
    [
      xml('direction-type', type),
      ...(offsetBeats > 0 ? [xml('offset', divisions(offsetBeats), { sound: 'yes' })] : []),
    ],
    { placement },
  );

function signElement(sign: DynamicSign, offsetBeats: number): NewXml {
  const type =
    sign.kind === 'mark' ? xml('dynamics', [xml(sign.mark)]) : xml('wedge', [], { type: sign.kind });
  return direction([type], offsetBeats, 'below');
}

function saidOf(item: ExerciseItem, words: ScoreWords): string[] {
  if (item.kind === 'note')
    return [...(item.tone ? [words.subtone] : []), ...(item.words ?? []).map(({ text }) => text)];
  return item.kind === 'rest' ? [] : [words[item.kind]];
}

interface NoteSetting {
  phrase: Phrase;
  shift: number;
  slurs: readonly Slur[];
  staff: number | null;
  voice: number;
}

/** How a part of a held note hangs together with the parts beside it. */
const tiesOf = ({ inItemBeat, goesOn }: WrittenPart) => [
  ...(inItemBeat === 0 ? [] : ['stop']),
  ...(goesOn ? ['start'] : []),
];
const tiedSigns = (ties: readonly string[]) => ties.map((type) => xml('tied', [], { type }));

function noteElement(part: WrittenPart, { phrase, shift, slurs, staff, voice: number }: NoteSetting): NewXml {
  const { item, value, inItemBeat, goesOn } = part;
  const isNote = item.kind === 'note' || item.kind === 'hum' || item.kind === 'air';
  const isFirst = inItemBeat === 0;
  const ties = isNote ? tiesOf(part) : [];
  const notations = [
    ...tiedSigns(ties),
    ...(isFirst ? slurs : []).map((type) => xml('slur', [], { type, number: 1 })),
    ...(item.kind === 'note' && item.open && !goesOn ? [xml('fermata')] : []),
  ];
  return xml('note', [
    isNote ? pitch(item.writtenMidi + shift, phrase.key ?? null) : xml('rest'),
    xml('duration', divisions(value)),
    ...ties.map((type) => xml('tie', [], { type })),
    xml('voice', number),
    ...valueElements(value),
    ...(item.kind === 'hum' || item.kind === 'air' ? [xml('notehead', 'x')] : []),
    ...(staff === null ? [] : [xml('staff', staff)]),
    ...(notations.length > 0 ? [xml('notations', notations)] : []),
  ]);
}

function valueElements(value: NoteValue): NewXml[] {
  const [type, dots] = TYPES[value];
  return [xml('type', type), ...Array.from({ length: dots }, () => xml('dot'))];
}

/** The notes that are fingered, on the staff below; where a note is fingered regularly there is a rest. */
export function fingeredVoice(parts: readonly WrittenPart[], phrase: Phrase, shift: number): NewXml[] {
  return parts.map((part) => {
    const { item, value } = part;
    const fingered = item.kind === 'note' ? item.fingered : null;
    const ties = fingered === null ? [] : tiesOf(part);
    return xml('note', [
      fingered === null ? xml('rest') : pitch(fingered + shift, phrase.key ?? null),
      xml('duration', divisions(value)),
      ...ties.map((type) => xml('tie', [], { type })),
      xml('voice', 2),
      ...valueElements(value),
      ...(fingered === null ? [] : [xml('notehead', 'diamond')]),
      xml('staff', 2),
      ...(ties.length > 0 ? [xml('notations', tiedSigns(ties))] : []),
    ]);
  });
}

function pitch(midi: number, key: MajorKey | null): NewXml {
  const { letter, alter, octave } = spellNote(midi, key);
  return xml('pitch', [
    xml('step', letter),
    ...(alter === 0 ? [] : [xml('alter', alter)]),
    xml('octave', octave),
  ]);
}
