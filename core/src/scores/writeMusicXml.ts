import {
  barsOf,
  onPaper,
  readShift,
  type Exercise,
  type Phrase,
  type WrittenPart,
} from '../exercise/index.ts';
import { hornById, type HornId } from '../horn/index.ts';
import { DIVISIONS, divisions } from './divisions.ts';
import { fifthsOf } from './keyFifths.ts';
import { fingeredVoice, signsOf, voice, type ScoreWords } from './writeVoice.ts';
import { writeXml, xml, type NewXml } from './xml.ts';

/** Steps of the staff of an interval under an octave, by its half steps, as horns are named (a major sixth down is five). */
const STEPS_DOWN: Record<number, number> = { 0: 0, 2: 1, 9: 5 };
const DOCTYPE =
  '<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">\n';

/**
 * An exercise as MusicXML 4.0: written pitch with the transposition of the horn, dynamics and hairpins, slurs, repeats; a note
 * fingered as another one has that below it, with a diamond head on a second staff. One measure is one bar of a phrase; phrases
 * are parted by a double bar, the rest between them is not written.
 */
export function exerciseToMusicXml(exercise: Exercise, hornId: HornId, words: ScoreWords): string {
  const shift = readShift(exercise, hornId);
  const twoStaves = exercise.phrases.some(({ items }) =>
    items.some((item) => item.kind === 'note' && item.fingered !== null),
  );
  const measures: NewXml[] = [];
  for (const phrase of onPaper(exercise).phrases) {
    const bars = barsOf(phrase, exercise.beatsPerBar);
    const signs = signsOf(phrase);
    bars.forEach((parts, i) => {
      const number = measures.length + 1;
      const isFirst = i === 0;
      const isLast = i === bars.length - 1;
      const inside: NewXml[] = [];
      if (isFirst && phrase.repeats > 1) inside.push(barline('left', 'heavy-light', 'forward', 0));
      if (isFirst) inside.push(attributes(exercise, phrase, hornId, number === 1, shift, twoStaves));
      if (number === 1) inside.push(tempo(exercise.tempoBpm));
      inside.push(...voice(parts, phrase, signs, shift, words, twoStaves ? 1 : null));
      if (twoStaves) {
        const length = parts.reduce((sum, { value }) => sum + value, 0);
        inside.push(xml('backup', [xml('duration', divisions(length))]));
        inside.push(...fingeredVoice(parts, phrase, shift));
      }
      if (isLast)
        inside.push(
          phrase.repeats > 1
            ? barline('right', 'light-heavy', 'backward', phrase.repeats)
            : barline('right', phrase === exercise.phrases.at(-1) ? 'light-heavy' : 'light-light', null, 0),
        );
      measures.push(xml('measure', inside, { number, ...(isShort(parts, exercise) && { implicit: 'yes' }) }));
    });
  }
  return writeXml(
    xml(
      'score-partwise',
      [
        xml('work', [xml('work-title', words.title)]),
        xml('identification', [xml('encoding', [xml('software', 'Inner Hum')])]),
        xml('part-list', [xml('score-part', [xml('part-name', words.part)], { id: 'P1' })]),
        xml('part', measures, { id: 'P1' }),
      ],
      { version: '4.0' },
    ),
    DOCTYPE,
  );
}

const isShort = (parts: readonly WrittenPart[], { beatsPerBar }: Exercise) =>
  parts.reduce((sum, { value }) => sum + value, 0) < beatsPerBar;

function attributes(
  { beatsPerBar }: Exercise,
  { key }: Phrase,
  hornId: HornId,
  isVeryFirst: boolean,
  shift: number,
  twoStaves: boolean,
): NewXml {
  const { transposition } = hornById(hornId);
  // What is read as it sounds (neck, mouthpiece) is not transposed.
  const down = shift === 0 ? -transposition : 0;
  const [octaves, rest] = [Math.floor(down / 12), down % 12];
  const clef = (number: number) =>
    xml('clef', [xml('sign', 'G'), xml('line', 2)], twoStaves ? { number } : {});
  return xml('attributes', [
    ...(isVeryFirst ? [xml('divisions', DIVISIONS)] : []),
    xml('key', [xml('fifths', fifthsOf(key))]),
    ...(isVeryFirst
      ? [
          xml('time', [xml('beats', beatsPerBar), xml('beat-type', 4)]),
          ...(twoStaves ? [xml('staves', 2)] : []),
          clef(1),
          ...(twoStaves ? [clef(2)] : []),
          ...(down === 0
            ? []
            : [
                xml('transpose', [
                  xml('diatonic', -STEPS_DOWN[rest]),
                  xml('chromatic', -rest),
                  ...(octaves > 0 ? [xml('octave-change', -octaves)] : []),
                ]),
              ]),
        ]
      : []),
  ]);
}

const tempo = (bpm: number) =>
  xml(
    'direction',
    [
      xml('direction-type', [xml('metronome', [xml('beat-unit', 'quarter'), xml('per-minute', bpm)])]),
      xml('sound', [], { tempo: bpm }),
    ],
    { placement: 'above' },
  );

function barline(location: string, style: string, direction: string | null, times: number): NewXml {
  return xml(
    'barline',
    [
      xml('bar-style', style),
      ...(direction === null ? [] : [xml('repeat', [], { direction, ...(times > 2 && { times }) })]),
    ],
    { location },
  );
}
