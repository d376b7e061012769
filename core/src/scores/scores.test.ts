import { strToU8, zipSync } from 'fflate';
import * as fc from 'fast-check';
import JZZ from 'jzz';
// @ts-expect-error It has no types.
import smf from 'jzz-midi-smf';
// @ts-expect-error It has no types.
import createVerovio from 'verovio/wasm';
// @ts-expect-error It has no types.
import { VerovioToolkit } from 'verovio/esm';
import { describe, expect, it } from 'vitest';
import {
  allNotes,
  DYNAMIC_MARKS,
  FAMILIES,
  MAJOR_KEYS,
  parseExercise,
  onPaper,
  playedPhrases,
  restBeats,
  type Exercise,
  type NoteItem,
  buildSwell,
} from '../exercise/index.ts';
import { HORN_IDS, HORNS, hornById, type HornId, writtenMidi } from '../horn/index.ts';
import {
  exerciseToMidi,
  exerciseToMusicXml,
  fittingShift,
  readScore,
  scoreExercise,
  type ScoreChoice,
} from './index.ts';
import { SCORE_WORDS as words } from '../testing/scoreWords.ts';

smf(JZZ);
const bytes = (text: string) => strToU8(text);

const lengths = fc.constantFrom(0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4, 5, 6.5);
const mark = fc.constantFrom(...DYNAMIC_MARKS);
const noteItem = fc
  .record({
    midi: fc.integer({ min: 58, max: 90 }),
    length: lengths,
    from: mark,
    to: mark,
    slurred: fc.boolean(),
  })
  .map(({ midi, length, from, to, slurred }) => ({
    kind: 'note',
    writtenMidi: midi,
    lengthBeats: length,
    attack: slurred ? 'slurred' : 'any',
    dynamics: [
      { beat: 0, mark: from },
      { beat: length, mark: to },
    ],
  }));
const restItem = lengths.map((length) => ({ kind: 'rest', lengthBeats: length }));
const exercises = fc
  .record({
    items: fc.array(fc.oneof({ weight: 4, arbitrary: noteItem }, restItem), { minLength: 1, maxLength: 12 }),
    first: noteItem,
    beatsPerBar: fc.integer({ min: 2, max: 6 }),
    tempoBpm: fc.integer({ min: 40, max: 200 }),
    key: fc.constantFrom(...MAJOR_KEYS),
    hornId: fc.constantFrom(...HORN_IDS),
  })
  .map(({ items, first, beatsPerBar, tempoBpm, key, hornId }) => ({
    hornId,
    exercise: parseExercise({
      version: 3,
      tempoBpm,
      beatsPerBar,
      start: 'countIn',
      phrases: [{ items: [{ ...first, attack: 'any' }, ...items], key }],
    }),
  }));

/** Notes one after the other with their beats, rests left out. */
function placed({ phrases }: Exercise) {
  let beat = 0;
  return phrases.flatMap(({ items }) =>
    items.flatMap((item) => {
      const at = beat;
      beat += item.lengthBeats;
      return item.kind === 'note' ? [{ item, at }] : [];
    }),
  );
}

const everyBar = (bars: number, change: Partial<ScoreChoice> = {}): ScoreChoice => ({
  part: 0,
  fromBar: 0,
  toBar: bars - 1,
  reading: 'sounding',
  octaves: 0,
  make: 'loop',
  ...change,
});

it('writes MusicXML that it reads again note for note: pitch, length, loudness, slurs', () => {
  fc.assert(
    fc.property(exercises, ({ exercise, hornId }) => {
      const score = readScore(bytes(exerciseToMusicXml(exercise, hornId, words)));
      expect(score).toMatchObject({
        title: words.title,
        tempoBpm: exercise.tempoBpm,
        beatsPerBar: exercise.beatsPerBar,
      });
      const made = scoreExercise(score, everyBar(score.parts[0].bars.length), hornById(hornId));
      const [before, after] = [placed(exercise), placed(made?.exercise ?? exercise)];
      const from = before[0].at;
      expect(after.map(({ item, at }) => [item.writtenMidi, item.lengthBeats, at])).toEqual(
        before.map(({ item, at }) => [item.writtenMidi, item.lengthBeats, at - from]),
      );
      before.forEach(({ item }, i) => {
        expect(after[i].item.dynamics[0].mark).toBe(item.dynamics[0].mark);
        expect(after[i].item.dynamics.at(-1)?.mark).toBe(item.dynamics.at(-1)?.mark);
        const follows = i > 0 && before[i - 1].at + before[i - 1].item.lengthBeats === before[i].at;
        expect(after[i].item.attack === 'slurred').toBe(follows && item.attack === 'slurred');
      });
    }),
    { numRuns: 150 },
  );
});

/** What another program hears in a score: sounding pitches with their beats. */
interface Toolkit {
  loadData(text: string): unknown;
  getLog(): string;
  renderToMIDI(): string;
}

async function newToolkit(): Promise<Toolkit> {
  return new VerovioToolkit(await createVerovio()) as Toolkit;
}

function heardByOther(toolkit: Toolkit, xml: string) {
  if (!toolkit.loadData(xml)) throw new Error(toolkit.getLog());
  const log = toolkit.getLog();
  const midi = Uint8Array.from(atob(toolkit.renderToMIDI()), (letter) => letter.charCodeAt(0));
  return { log, notes: notesOfMidi(midi) };
}

/** Notes of a MIDI file by an independent reader: channel, pitch, beat, length. */
function notesOfMidi(midi: Uint8Array) {
  // The library's own types know text only.
  const file = new (JZZ.MIDI as unknown as { SMF: new (text: string) => SmfFile }).SMF(
    Array.from(midi, (byte) => String.fromCharCode(byte)).join(''),
  );
  const notes: { channel: number; midi: number; beat: number; length: number }[] = [];
  for (const track of file) {
    const open = new Map<string, number>();
    for (const message of track) {
      const [status, pitch, velocity] = message;
      const kind = status & 0xf0;
      if (kind !== 0x80 && kind !== 0x90) continue;
      const key = `${status & 15} ${pitch}`;
      const start = open.get(key);
      if (start !== undefined)
        notes.push({
          channel: status & 15,
          midi: pitch,
          beat: start / file.ppqn,
          length: (message.tt - start) / file.ppqn,
        });
      open.delete(key);
      if (kind === 0x90 && velocity > 0) open.set(key, message.tt);
    }
  }
  return notes.toSorted((a, b) => a.beat - b.beat || a.midi - b.midi);
}
type SmfMessage = number[] & { tt: number };
type SmfFile = Iterable<Iterable<SmfMessage>> & { ppqn: number };

it('writes MusicXML that an independent program reads without complaint, as it sounds on each horn', async () => {
  const samples = fc.sample(exercises, { numRuns: 40, seed: 5 });
  const toolkit = await newToolkit();
  let notes = 0;
  for (const { exercise, hornId } of samples) {
    const { log, notes: heard } = heardByOther(toolkit, exerciseToMusicXml(exercise, hornId, words));
    expect(log).toBe('');
    const wanted = placed(exercise).map(({ item, at }) => [
      item.writtenMidi + hornById(hornId).transposition,
      at,
      item.lengthBeats,
    ]);
    expect(heard.map(({ midi, beat, length }) => [midi, round(beat), round(length)])).toEqual(
      wanted.map(([midi, at, length]) => [midi, round(at), round(length)]),
    );
    notes += wanted.length;
  }
  console.log(`independent reader: ${notes} notes in ${samples.length} scores, all as written`);
});
const round = (beats: number) => Math.round(beats * 24) / 24;

it('writes every family of the Shelf so that both readers find its notes, overtones on two lines', async () => {
  const toolkit = await newToolkit();
  let scores = 0;
  let fingered = 0;
  for (const horn of HORNS)
    for (const family of FAMILIES) {
      if (!family.options(horn)) continue;
      const exercise = family.build(horn, {});
      const xml = exerciseToMusicXml(exercise, horn.id, words);
      // The other reader takes its time; how the horns differ was heard above.
      if (horn.id === 'alto') expect(toolkit.loadData(xml), family.id).toBeTruthy();
      expect(toolkit.getLog(), family.id).toBe('');
      const own = allNotes(exercise);
      if (own.length === 0) continue;
      const score = readScore(bytes(xml));
      const once = { ...exercise, phrases: playedPhrases({ ...onPaper(exercise), order: 'asWritten' }) };
      const alone = exercise.body !== undefined && exercise.body !== 'horn';
      const shift = alone ? horn.transposition : 0;
      // Hummed and blown notes stand in the part as well.
      const pitched = once.phrases.flatMap(({ items }) =>
        items.filter((item) => item.kind === 'note' || item.kind === 'hum' || item.kind === 'air'),
      );
      expect(
        score.parts[0].notes.map(({ writtenMidi }) => writtenMidi),
        family.id,
      ).toEqual(pitched.map((item) => ('writtenMidi' in item ? item.writtenMidi + shift : 0)));
      const below = score.parts[0].notes.map(({ fingeredMidi }) => fingeredMidi);
      expect(below, family.id).toEqual(
        pitched.map((item) =>
          item.kind === 'note' && item.fingered !== null ? item.fingered + shift : null,
        ),
      );
      scores++;
      fingered += below.filter((each) => each !== null).length;
    }
  console.log(`families: ${scores} scores, ${fingered} notes with what is fingered below them`);
  expect(fingered).toBeGreaterThan(100);
});

it('writes MIDI that an independent reader hears in time and in tune, with a click on every beat', () => {
  fc.assert(
    fc.property(exercises, fc.boolean(), ({ exercise, hornId }, click) => {
      const midi = exerciseToMidi(exercise, hornId, { click, a4Hz: 440 });
      const heard = notesOfMidi(midi);
      const horn = heard.filter(({ channel }) => channel !== 9);
      expect(horn.map(({ midi: pitch, beat, length }) => [pitch, beat, length])).toEqual(
        placed(exercise).map(({ item, at }) => [
          item.writtenMidi + hornById(hornId).transposition,
          at,
          item.lengthBeats,
        ]),
      );
      const beats = exercise.phrases.reduce(
        (sum, phrase) =>
          sum +
          phrase.items.reduce((all, { lengthBeats }) => all + lengthBeats, 0) +
          restBeats(exercise, phrase),
        0,
      );
      expect(heard.length - horn.length).toBe(click ? Math.ceil(beats) : 0);
      const score = readScore(midi);
      expect(score.tempoBpm).toBeCloseTo(exercise.tempoBpm, 2);
      expect(score.parts).toHaveLength(1);
      expect(score.parts[0].notes.map(({ soundingMidi }) => soundingMidi)).toEqual(
        horn.map((note) => note.midi),
      );
    }),
    { numRuns: 60 },
  );
});

const partwise = (measures: string, list = '<score-part id="P1"><part-name>Sax</part-name></score-part>') =>
  `<?xml version="1.0"?><!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 3.1 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd"><score-partwise version="3.1"><part-list>${list}</part-list><part id="P1">${measures}</part></score-partwise>`;
const n = (step: string, octave: number, duration: number, more = '', before = '') =>
  `<note>${before}<pitch><step>${step}</step><octave>${octave}</octave></pitch><duration>${duration}</duration>${more}</note>`;
const names = (text: string) => readScore(bytes(text)).parts[0].notes.map(({ soundingMidi }) => soundingMidi);

it('reads what notation programs write: tuplets, grace notes, voices, chords, repeats, jumps, transposing parts', () => {
  const divisions =
    '<attributes><divisions>6</divisions><time><beats>2</beats><beat-type>4</beat-type></time></attributes>';
  // Triplets by their durations, a grace note and a cue without one, a chord by its upper note, a second voice after a backup.
  const busy = readScore(
    bytes(
      partwise(
        `<measure number="1">${divisions}${n('C', 5, 2)}${n('D', 5, 2)}${n('E', 5, 2)}` +
          `${n('G', 5, 0, '', '<grace slash="yes"/>').replace('<duration>0</duration>', '')}${n('F', 5, 6)}${n('A', 5, 6, '', '<chord/>')}` +
          `<backup><duration>12</duration></backup><forward><duration>6</duration></forward>${n('C', 4, 6, '<voice>2</voice>')}</measure>`,
      ),
    ),
  ).parts[0];
  expect(
    busy.notes.map(({ soundingMidi, startBeat, lengthBeats }) => [
      soundingMidi,
      round(startBeat),
      round(lengthBeats),
    ]),
  ).toEqual([
    [72, 0, round(1 / 3)],
    [74, round(1 / 3), round(1 / 3)],
    [76, round(2 / 3), round(1 / 3)],
    [81, 1, 1],
  ]);
  // First and second ending.
  const repeat = (direction: string, times = '') => `<repeat direction="${direction}"${times}/>`;
  const bar = (number: number, step: string, more = '', end = '') =>
    `<measure number="${number}">${number === 1 ? divisions : ''}${more}${n(step, 4, 12)}${end}</measure>`;
  const ending = (number: string, type: string, rest = '') =>
    `<barline location="${type === 'start' ? 'left' : 'right'}"><ending number="${number}" type="${type}"/>${rest}</barline>`;
  expect(
    names(
      partwise(
        bar(1, 'C', `<barline location="left">${repeat('forward')}</barline>`) +
          bar(2, 'D', ending('1', 'start'), ending('1', 'stop', repeat('backward'))) +
          bar(3, 'E', ending('2', 'start'), ending('2', 'discontinue')) +
          bar(4, 'F'),
      ),
    ),
  ).toEqual([60, 62, 60, 64, 65]);
  expect(
    names(
      partwise(bar(1, 'C', '', `<barline location="right">${repeat('backward', ' times="3"')}</barline>`)),
    ),
  ).toEqual([60, 60, 60]);
  // From the sign to the coda, and from the beginning to the end sign.
  const sound = (attributes: string) =>
    `<direction><direction-type><words>x</words></direction-type><sound ${attributes}/></direction>`;
  expect(
    names(
      partwise(
        bar(1, 'C') +
          bar(2, 'D', sound('segno="s"')) +
          bar(3, 'E', '', sound('tocoda="c"')) +
          bar(4, 'F', '', sound('dalsegno="s"')) +
          bar(5, 'G', sound('coda="c"')),
      ),
    ),
  ).toEqual([60, 62, 64, 65, 62, 64, 67]);
  expect(
    names(
      partwise(bar(1, 'C') + bar(2, 'D', '', sound('fine="yes"')) + bar(3, 'E', '', sound('dacapo="yes"'))),
    ),
  ).toEqual([60, 62, 64, 60, 62]);
  // A tenor's part sounds a ninth lower; a tie over the bar line is one note; two parts have their names.
  const tenor = `<attributes><divisions>1</divisions><key><fifths>2</fifths></key><transpose><diatonic>-1</diatonic><chromatic>-2</chromatic><octave-change>-1</octave-change></transpose></attributes>`;
  const tied = readScore(
    bytes(
      partwise(
        `<measure number="1">${tenor}${n('D', 5, 4, '<tie type="start"/>')}</measure><measure number="2">${n('D', 5, 2, '<tie type="stop"/>')}${n('E', 5, 2)}</measure></part><part id="P2"><measure number="1">${n('C', 3, 4)}</measure>`,
        '<score-part id="P1"><part-name>Tenor</part-name></score-part><score-part id="P2"><part-name>Bass</part-name></score-part>',
      ),
    ),
  );
  expect(tied.parts.map(({ name, transposition }) => [name, transposition])).toEqual([
    ['Tenor', -14],
    ['Bass', 0],
  ]);
  expect(
    tied.parts[0].notes.map(({ soundingMidi, writtenMidi, lengthBeats }) => [
      soundingMidi,
      writtenMidi,
      lengthBeats,
    ]),
  ).toEqual([
    [60, 74, 6],
    [62, 76, 2],
  ]);
  expect(tied.parts[0].bars[0].key).toBe('D');
  // By measures instead of by parts, and packed with its container; text of 16 bits.
  const timewise = partwise(bar(1, 'C'))
    .replaceAll('score-partwise', 'score-timewise')
    .replace('<part id="P1"><measure number="1">', '<measure number="1"><part id="P1">')
    .replace('</measure></part>', '</part></measure>');
  expect(names(timewise)).toEqual([60]);
  const packed = zipSync({
    'META-INF/container.xml': bytes(
      '<container><rootfiles><rootfile full-path="music/a.xml"/></rootfiles></container>',
    ),
    'other.xml': bytes('<nothing/>'),
    'music/a.xml': bytes(partwise(bar(1, 'G'))),
  });
  expect(readScore(packed).parts[0].notes[0].soundingMidi).toBe(67);
  const wide = Uint8Array.from([
    0xff,
    0xfe,
    ...[...partwise(bar(1, 'A'))].flatMap((letter) => [letter.charCodeAt(0), 0]),
  ]);
  expect(readScore(wide).parts[0].notes[0].soundingMidi).toBe(69);
});

it('makes of a part what is wanted, for the horn that is played, and tells what it cannot reach', () => {
  const bar = (number: number, steps: string[], octave: number) =>
    `<measure number="${number}">${number === 1 ? '<attributes><divisions>1</divisions></attributes>' : ''}${steps.map((step) => n(step, octave, 1)).join('')}</measure>`;
  const score = readScore(bytes(partwise(bar(1, ['C', 'D', 'E', 'F'], 4) + bar(2, ['G', 'A', 'B', 'C'], 4))));
  const alto = hornById('alto');
  const make = (change: Partial<ScoreChoice>) => scoreExercise(score, everyBar(2, change), alto);
  const midis = (exercise: Exercise | undefined) =>
    (exercise ? allNotes(exercise) : []).map((note: NoteItem) => note.writtenMidi);
  expect(midis(make({ toBar: 0 })?.exercise)).toEqual([69, 71, 73, 74]);
  expect(midis(make({ toBar: 0, reading: 'written' })?.exercise)).toEqual([60, 62, 64, 65]);
  expect(make({ make: 'loop' })?.exercise.phrases).toMatchObject([{ repeats: 4 }]);
  const long = make({ make: 'longTones' })?.exercise;
  expect(long?.phrases).toHaveLength(7);
  expect(long?.phrases[0].items).toMatchObject([{ lengthBeats: 8, writtenMidi: 69 }]);
  expect(midis(make({ make: 'octaves', toBar: 0 })?.exercise)).toEqual([69, 71, 73, 74, 81, 83, 85, 86]);
  expect(make({ octaves: 2 })?.faults).toEqual([{ kind: 'aboveRange', count: 8 }]);
  expect(make({ octaves: -2 })?.faults).toEqual([{ kind: 'belowRange', count: 8 }]);
  expect(fittingShift(score.parts[0], alto, 'sounding')).toBe(0);
  expect(fittingShift(readScore(bytes(partwise(bar(1, ['C'], 2)))).parts[0], alto, 'sounding')).toBe(2);
  // Thirty-seconds are written twice as long, so that they can be played from the page.
  const fast = partwise(
    `<measure number="1"><attributes><divisions>8</divisions></attributes>${n('C', 5, 1)}${n('D', 5, 1)}</measure>`,
  );
  expect(scoreExercise(readScore(bytes(fast)), everyBar(1), alto)?.exercise).toMatchObject({ tempoBpm: 120 });
});

it('refuses every bad file with a sentence of its own', () => {
  const good = partwise(`<measure number="1">${n('C', 4, 4)}</measure>`);
  const goodMidi = exerciseToMidi(
    parseExercise({
      version: 3,
      tempoBpm: 60,
      beatsPerBar: 4,
      start: 'countIn',
      phrases: [{ items: [{ kind: 'note', writtenMidi: 60, lengthBeats: 4 }] }],
    }),
    'alto' as HornId,
    { click: true, a4Hz: 440 },
  );
  const entities = `<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a "aaaaaaaaaa">${Array.from({ length: 12 }, (_, i) => `<!ENTITY ${String.fromCharCode(98 + i)} "${`&${String.fromCharCode(97 + i)};`.repeat(10)}">`).join('')}]><score-partwise>&m;</score-partwise>`;
  const header = (change: (view: DataView) => void) => {
    const copy = goodMidi.slice();
    change(new DataView(copy.buffer));
    return copy;
  };
  const bomb = zipSync({ 'a.xml': new Uint8Array(60_000_000) });
  const bad: Record<string, Uint8Array> = {
    empty: new Uint8Array(),
    'other magic': bytes('RIFF....WAVE'),
    'no xml': bytes('hello'),
    'other xml': bytes('<svg/>'),
    'cut short xml': bytes(good.slice(0, good.length - 60)),
    'entity bomb': bytes(entities),
    'external entity': bytes(
      '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><score-partwise>&e;</score-partwise>',
    ),
    deep: bytes(`<score-partwise>${'<a>'.repeat(5000)}${'</a>'.repeat(5000)}</score-partwise>`),
    'no notes': bytes(partwise('<measure number="1"/>')),
    'zip bomb': bomb,
    'broken zip': bomb.slice(0, 300),
    'zip without score': zipSync({ 'readme.txt': bytes('hello') }),
    'cut short midi': goodMidi.slice(0, goodMidi.length - 9),
    'midi header alone': goodMidi.slice(0, 14),
    'huge chunk': header((view) => view.setUint32(18, 0xfffffff0)),
    'huge track count': header((view) => view.setUint16(10, 0xffff)),
    'no division': header((view) => view.setUint16(12, 0)),
    'film frames': header((view) => view.setUint16(12, 0xe728)),
  };
  for (const [name, file] of Object.entries(bad)) {
    let said = '';
    try {
      readScore(file);
    } catch (error) {
      expect(error, name).toMatchObject({ code: 'score-unreadable' });
      said = (error as Error).message;
    }
    expect(said.length, name).toBeGreaterThan(15);
  }
});

it('ends with a sentence or a score whatever is done to a file', () => {
  const good = bytes(exerciseToMusicXml(FAMILIES[0].build(hornById('alto'), {}), 'alto', words));
  const midi = exerciseToMidi(FAMILIES[0].build(hornById('alto'), {}), 'alto', { click: true, a4Hz: 440 });
  fc.assert(
    fc.property(
      fc.constantFrom(good, midi),
      fc.array(fc.tuple(fc.double({ min: 0, max: 0.999, noNaN: true }), fc.integer({ min: 0, max: 255 })), {
        minLength: 1,
        maxLength: 8,
      }),
      (file, changes) => {
        const hurt = file.slice();
        for (const [where, byte] of changes) hurt[Math.floor(where * hurt.length)] = byte;
        try {
          readScore(hurt);
        } catch (error) {
          expect(error).toMatchObject({ code: 'score-unreadable' });
        }
      },
    ),
    { numRuns: 300 },
  );
});

it('swells in a MIDI file as it is written: by expression alone, which is there before the note and says 20 dB from pp to ff', () => {
  const swell = (shape: 'growFade' | 'steady', loud: 'ff' | 'mp') =>
    exerciseToMidi(
      buildSwell({ note: writtenMidi(67), shape, beats: 8, tempoBpm: 60, start: 'countIn', loud }),
      'alto',
      { click: false, a4Hz: 440 },
    );
  const messages = (midi: Uint8Array) => {
    const file = new (JZZ.MIDI as unknown as { SMF: new (text: string) => SmfFile }).SMF(
      Array.from(midi, (byte) => String.fromCharCode(byte)).join(''),
    );
    return [...file].flatMap((track) => [...track]);
  };
  const isOn = ([status, , velocity]: SmfMessage) => (status & 0xf0) === 0x90 && velocity > 0;
  const isExpression = ([status, controller]: SmfMessage) => (status & 0xf0) === 0xb0 && controller === 11;
  /** As a synthesiser takes it. */
  const db = (message: SmfMessage) => 40 * Math.log10(message[2] / 127);
  const hairpin = messages(swell('growFade', 'ff'));
  const soft = messages(swell('steady', 'mp'));
  // However loud a note begins, it is struck alike.
  const struck = [hairpin, soft].map((all) => all.filter(isOn).map(([, , velocity]) => velocity));
  expect(struck[0]).toEqual(struck[1]);
  const levels = hairpin.filter(isExpression);
  expect(levels[0].tt).toBeLessThanOrEqual(hairpin.find(isOn)?.tt ?? -1);
  const [first, last] = [db(levels[0]), db(levels[levels.length - 1])];
  const top = Math.max(...levels.map(db));
  expect(top - first).toBeGreaterThan(18);
  expect(top - first).toBeLessThan(22);
  expect(top - last).toBeGreaterThan(17);
  // What swells from pp ends softer than a steady mp, and its top is louder.
  const steady = soft.filter(isExpression).map(db);
  expect(last).toBeLessThan(steady[0]);
  expect(top).toBeGreaterThan(steady[0]);
});

it('gives up a part with more staves than any has', () => {
  const staves = Array.from(
    { length: 2000 },
    (_, i) =>
      `<note><pitch><step>C</step><octave>5</octave></pitch><duration>4</duration><staff>${i + 1}</staff></note><backup><duration>4</duration></backup>`,
  ).join('');
  const score = `<score-partwise><part-list><score-part id="P"><part-name>x</part-name></score-part></part-list><part id="P"><measure number="1"><attributes><divisions>1</divisions></attributes>${staves}</measure></part></score-partwise>`;
  expect(() => readScore(bytes(score))).toThrowError(/2000 staves; at most 16/);
});

it.each([
  ['ISO-8859-1', 'latin1', 'Übung für Ärmel'],
  ['iso-8859-15', 'latin1', 'Etüde in é'],
  ['windows-1252', 'latin1', 'Être'],
  ['UTF-8', 'utf8', 'Übung – für “alle”'],
  ["UTF-8' standalone='no", 'utf8', 'Übung'],
] as const)('reads letters as the file says that they are written: %s', (encoding, written, title) => {
  const text = `<?xml version='1.0' encoding='${encoding}'?><score-partwise><part-list><score-part id="P"><part-name>${title}</part-name></score-part></part-list><part id="P"><measure number="1"><attributes><divisions>1</divisions></attributes><note><pitch><step>C</step><octave>5</octave></pitch><duration>4</duration></note></measure></part></score-partwise>`;
  expect(readScore(Uint8Array.from(Buffer.from(text, written))).parts[0].name).toBe(title);
});

it('says so where letters are written in a way that nobody knows', () => {
  const odd = bytes('<?xml version="1.0" encoding="klingon-8"?><score-partwise/>');
  expect(() => readScore(odd)).toThrowError(/klingon-8/);
});

/** A MIDI file of one track: these events, then one C of a quarter note. */
function oneNoteMidi(...events: number[][]): Uint8Array {
  const track = [
    ...events.flatMap((event) => [0, ...event]),
    ...[0, 0x90, 60, 80],
    ...[0x83, 0x60, 0x80, 60, 0],
    ...[0, 0xff, 0x2f, 0],
  ];
  const head = Buffer.from([...Buffer.from('MThd'), 0, 0, 0, 6, 0, 0, 0, 1, 1, 0xe0, ...Buffer.from('MTrk')]);
  const size = Buffer.alloc(4);
  size.writeUInt32BE(track.length);
  return Uint8Array.from(Buffer.concat([head, size, Buffer.from(track)]));
}

it.each([
  ['four quarters', [0xff, 0x58, 4, 4, 2, 24, 8], 4],
  ['six eighths', [0xff, 0x58, 4, 6, 3, 24, 8], 3],
  ['no beats in a bar', [0xff, 0x58, 4, 0, 2, 24, 8], 4],
  ['beats of a 4096th', [0xff, 0x58, 4, 4, 12, 24, 8], 4],
  ['255 beats in a bar', [0xff, 0x58, 4, 255, 2, 24, 8], 4],
] as const)(
  'reads a MIDI metre that can be, and takes four quarters for one that cannot: %s',
  (_, event, beats) => {
    const score = readScore(oneNoteMidi([...event]));
    expect(score.beatsPerBar).toBe(beats);
    expect(score.parts[0].bars.length).toBe(1);
  },
);

it('takes no tempo that nobody can play for one, and no title longer than a line', () => {
  expect(readScore(oneNoteMidi([0xff, 0x51, 3, 0x07, 0xa1, 0x20])).tempoBpm).toBe(120);
  expect(readScore(oneNoteMidi([0xff, 0x51, 3, 0, 0, 0])).tempoBpm).toBeNull();
  expect(readScore(oneNoteMidi([0xff, 0x51, 3, 0, 0, 1])).tempoBpm).toBeNull();
  const long = [0xff, 3, 0x83, 0x74, ...Array<number>(500).fill(65)];
  const { title, parts } = readScore(oneNoteMidi(long));
  expect(title.length).toBeLessThanOrEqual(200);
  expect(parts[0].name.length).toBeLessThanOrEqual(200);
});

describe('figures that no music has', () => {
  const read = (measure: string) =>
    readScore(
      bytes(
        `<score-partwise><part-list><score-part id="P"><part-name>x</part-name></score-part></part-list><part id="P"><measure number="1">${measure}</measure></part></score-partwise>`,
      ),
    );
  const one = (duration = '4') =>
    `<note><pitch><step>C</step><octave>5</octave></pitch><duration>${duration}</duration></note>`;
  const attributes = '<attributes><divisions>1</divisions></attributes>';

  it('a tempo without end is none', () => {
    const tempo = (bpm: string) =>
      read(`${attributes}<direction><sound tempo="${bpm}"/></direction>${one()}`).tempoBpm;
    expect([tempo('96'), tempo('1e400'), tempo('0'), tempo('-4')]).toEqual([96, null, null, null]);
  });

  it('a note longer than any piece is none', () => {
    const lengths = (duration: string) =>
      read(`${attributes}${one(duration)}${one()}`).parts[0].notes.map(({ lengthBeats }) => lengthBeats);
    expect(lengths('2')).toEqual([2, 4]);
    expect(lengths('1e300')).toEqual([4]);
  });

  it.each([
    ['6', '8', 3],
    ['3+2', '8', 2.5],
    ['64', '64', 4],
    ['0', '4', 4],
    ['-3', '4', 4],
    ['65', '4', 4],
    ['4', '4096', 4],
    ['3', '0.5', 4],
    ['three', '4', 4],
  ])('a metre of %s by %s counts as one of %d quarters', (count, of, quarters) => {
    const time = `<attributes><divisions>1</divisions><time><beats>${count}</beats><beat-type>${of}</beat-type></time></attributes>`;
    const { beatsPerBar, parts } = read(`${time}<note><rest measure="yes"/></note>${one()}`);
    expect(beatsPerBar).toBe(quarters);
    expect(parts[0].bars.length).toBe(1);
  });

  it('a transposition past all instruments is none', () => {
    const sounding = (chromatic: string) =>
      read(
        `<attributes><divisions>1</divisions><transpose><chromatic>${chromatic}</chromatic></transpose></attributes>${one()}`,
      ).parts[0].notes[0].soundingMidi;
    expect([sounding('-9'), sounding('1e9')]).toEqual([63, 72]);
  });

  it('names that programs are built of are refused in the words of a score', () => {
    for (const name of ['__proto__', 'constructor', 'prototype']) {
      let told: unknown = null;
      try {
        read(`<${name}><a/></${name}>${attributes}${one()}`);
      } catch (error) {
        told = error;
      }
      if (told !== null) expect(told).toMatchObject({ code: 'score-unreadable' });
    }
  });

  it('a part far below every horn is brought nearer by octaves, and told as below it', () => {
    const low = '<note><pitch><step>C</step><octave>1</octave></pitch><duration>2</duration></note>';
    const score = read(`${attributes}${low}${low.replace('>C<', '>D<')}`);
    const choice = { part: 0, fromBar: 0, toBar: 0, reading: 'written', octaves: 0, make: 'line' } as const;
    const made = scoreExercise(score, choice, hornById('alto'));
    const notes = made?.exercise.phrases[0].items.map((item) => item.kind === 'note' && item.writtenMidi);
    expect(notes).toEqual([48, 50]);
    expect(made?.faults).toEqual([{ kind: 'belowRange', count: 2 }]);
  });

  it('a note held longer than an exercise can hold one is cut there', () => {
    const score = read(`${attributes}${one('90')}`);
    const choice = { part: 0, fromBar: 0, toBar: 0, reading: 'written', octaves: 0, make: 'line' } as const;
    const made = scoreExercise(score, choice, hornById('alto'));
    expect(made?.exercise.phrases[0].items[0].lengthBeats).toBeGreaterThan(60);
    expect(made?.exercise.phrases[0].items[0].lengthBeats).toBeLessThanOrEqual(64);
  });

  it('what is wrong with its letters is said in a line, however long its names are', () => {
    expect(() => read(`<${'x'.repeat(5000)}>`)).toThrowError(/^[^]{10,300}$/);
  });

  it('an element with attributes without end is refused at once', () => {
    const many = Array.from({ length: 300_000 }, (_, i) => `a${i}="1"`).join(' ');
    expect(() => readScore(bytes(`<score-partwise ${many}></score-partwise>`))).toThrowError(
      /more attributes/,
    );
  });

  it('measures that hold the parts are read like parts that hold the measures', () => {
    const list = ['A', 'B'].map((id) => `<score-part id="${id}"><part-name>${id}</part-name></score-part>`);
    const timewise = [1, 2, 3].map(
      (n) =>
        `<measure number="${n}"><part id="A">${n === 1 ? attributes : ''}${one()}</part><part id="B">${n === 1 ? attributes : ''}${one('2')}</part></measure>`,
    );
    const { parts } = readScore(
      bytes(`<score-timewise><part-list>${list.join('')}</part-list>${timewise.join('')}</score-timewise>`),
    );
    expect(
      parts.map(({ notes }) => notes.map(({ startBeat, lengthBeats }) => [startBeat, lengthBeats])),
    ).toEqual([
      [
        [0, 4],
        [4, 4],
        [8, 4],
      ],
      [
        [0, 2],
        [2, 2],
        [4, 2],
      ],
    ]);
  });
});
