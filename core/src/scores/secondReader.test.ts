import {
  generatePlaybackSequence,
  parse,
  validate,
  validateSlursAcrossMeasures,
  validateTiesAcrossMeasures,
  type Score,
  type ValidationLocation,
} from 'musicxml-io';
import { expect, it } from 'vitest';
import { FAMILIES, onPaper, playedPhrases, type Exercise } from '../exercise/index.ts';
import { HORNS } from '../horn/index.ts';
import { exerciseToMusicXml } from './index.ts';
import { SCORE_WORDS as words } from '../testing/scoreWords.ts';

/** All that the reader finds wrong: bars not filled, beams, tuplets, staves, and ties and slurs over bar lines. */
function complaints(score: Score): string[] {
  // Ties and slurs are looked at over the whole part: within one bar each that crosses its line would be open.
  const said = validate(score, { checkMeasureFullness: true, checkTies: false, checkSlurs: false });
  // A bar that says it is short may be.
  const isShort = ({ partIndex = 0, measureIndex = 0 }: ValidationLocation) =>
    score.parts[partIndex].measures[measureIndex].implicit === true;
  const alone = [...said.errors, ...said.warnings].filter(
    ({ code, location }) => !(LENGTHS.has(code) && isShort(location)),
  );
  const across = score.parts.flatMap((part) => [
    ...validateTiesAcrossMeasures(part),
    ...validateSlursAcrossMeasures(part),
  ]);
  return [...alone, ...across].map(({ message }) => message);
}
const LENGTHS = new Set(['MEASURE_DURATION_UNDERFLOW', 'VOICE_INCOMPLETE', 'VOICE_GAP']);

const SEMITONES = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 } as const;

/** Written notes of the first voice in the order they are played, those tied together as one: MIDI number and length in beats. */
function notesOf(score: Score) {
  const notes: { midi: number; beats: number }[] = [];
  const { measures } = score.parts[0];
  const divisions = measures[0].attributes?.divisions ?? 1;
  for (const { measureIndex } of generatePlaybackSequence(score)) {
    for (const entry of measures[measureIndex].entries) {
      if (entry.type !== 'note' || !entry.pitch || Number(entry.voice) !== 1) continue;
      const { step, alter = 0, octave } = entry.pitch;
      const midi = 12 * (octave + 1) + SEMITONES[step] + alter;
      const beats = entry.duration / divisions;
      const ties = entry.ties ?? (entry.tie ? [entry.tie] : []);
      const last = notes.at(-1);
      if (last && ties.some(({ type }) => type === 'stop')) last.beats += beats;
      else notes.push({ midi, beats });
    }
  }
  return notes;
}

const written = (exercise: Exercise, shift: number) =>
  playedPhrases({ ...onPaper(exercise), order: 'asWritten' })
    .flatMap(({ items }) => items)
    .flatMap((item) =>
      item.kind === 'note' || item.kind === 'hum' || item.kind === 'air'
        ? [{ midi: item.writtenMidi + shift, beats: item.lengthBeats }]
        : [],
    );

it('writes every family on every horn so that a second reader finds its notes and nothing to complain of', () => {
  let scores = 0;
  let notes = 0;
  for (const horn of HORNS)
    for (const family of FAMILIES) {
      if (!family.options(horn)) continue;
      const exercise = family.build(horn, {});
      const score = parse(exerciseToMusicXml(exercise, horn.id, words));
      const which = `${horn.id}, ${family.id}`;
      expect(complaints(score), which).toEqual([]);
      const alone = exercise.body !== undefined && exercise.body !== 'horn';
      const read = notesOf(score);
      expect(read, which).toEqual(written(exercise, alone ? horn.transposition : 0));
      scores++;
      notes += read.length;
    }
  console.log(`second reader: ${notes} notes in ${scores} scores, all as written`);
  expect(scores).toBeGreaterThan(400);
});

it('knows a bar that is not full and a tie that leads nowhere', () => {
  const horn = HORNS[0];
  const exercise = FAMILIES.find(({ id }) => id === 'longHold')?.build(horn, {});
  if (!exercise) throw new Error('no long hold');
  const xml = exerciseToMusicXml(exercise, horn.id, words);
  expect(complaints(parse(xml.replace(/<duration>\d+/, '<duration>1')))).not.toEqual([]);
  expect(complaints(parse(xml.replace(/<tied? type="stop"\s*\/>/g, '')))).not.toEqual([]);
});
