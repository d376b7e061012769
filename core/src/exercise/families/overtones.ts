import {
  bestLine,
  HIGHEST_NOTE,
  HIGHEST_PARTIAL,
  LAST_FUNDAMENTAL,
  partialNote,
  routeChance,
  ROUTE_MODES,
  writtenMidi,
  type Horn,
} from '../../horn/index.ts';
import type { DynamicMark } from '../dynamics.ts';
import type { Attack, ExerciseItem, Judged, NoteItem } from '../exercise.ts';
import { isInKey, MAJOR_KEYS } from '../keys.ts';
import { chromatic, defineFamily, note, rest, restOf, slurred } from './family.ts';
import {
  beatsOption,
  choiceOption,
  markOption,
  noteOption,
  partialOption,
  startOption,
  tempoOption,
  timesOption,
} from './options.ts';

// Same fingers, another partial. What is fingered lies in the player's range; what sounds may lie over it.

const tuningOption = choiceOption(['tempered', 'pure'], 'tempered');
const accentOption = choiceOption(['breath', 'tongued'], 'breath');

/** The tubes whose overtones are played: from the lowest note to F4, where the range has them. */
const tubeOption = ({ lowest }: Horn, usual: number = lowest) => noteOption(lowest, LAST_FUNDAMENTAL, usual);

/** Null where the range begins over the tubes. */
const withTubes = <Own>(horn: Horn, options: () => Own): Own | null =>
  horn.lowest < LAST_FUNDAMENTAL ? options() : null;

/** The highest partial of a tube that has a note, as far as was asked for. */
const within = (tube: number, partial: number, highest: number) => {
  let most = Math.min(partial, HIGHEST_PARTIAL);
  while (most > 2 && partialNote(writtenMidi(tube), most) > highest) most--;
  return most;
};

/** A rung: partial `partial` of the tube of a low note, fingered as that note. */
function rung(tube: number, partial: number, beats: number, mark: DynamicMark, attack: Attack): NoteItem {
  const sounding = partialNote(writtenMidi(tube), partial);
  return {
    ...note(sounding, beats, mark, mark, attack),
    fingered: partial === 1 ? null : writtenMidi(tube),
  };
}

const upTo = (partial: number) => Array.from({ length: partial }, (_, i) => i + 1);

/** From the fundamental up to a partial and down again, slurred, no finger moving. */
export const overtoneClimb = defineFamily({
  id: 'overtoneClimb',
  purposes: ['voicing'],
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(4),
      beats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      tries: timesOption(2, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
      start: startOption('playToStart'),
    })),
  write({ note: tube, partial, beats, from, tries, overtones }) {
    const up = upTo(within(tube, partial, HIGHEST_NOTE));
    const path = [...up, ...up.toReversed().slice(1)];
    return {
      overtones,
      rest: { kind: 'asPlayed' },
      phrases: [
        {
          items: path.map((each, i) => rung(tube, each, beats, from, i === 0 ? 'any' : 'slurred')),
          breath: 'one',
          repeats: tries,
        },
      ],
    };
  },
});

/** The note with its own fingering, after a count the low one, the sound kept; and back. */
export const overtoneSwitch = defineFamily({
  id: 'overtoneSwitch',
  purposes: ['voicing'],
  options: (horn) =>
    withTubes(horn, () =>
      partialNote(horn.lowest, 2) > horn.highest
        ? null
        : {
            note: tubeOption(horn),
            partial: partialOption(2),
            beats: beatsOption(2, 1, 8),
            from: markOption('mf'),
            attack: choiceOption(['slurred', 'tongued'], 'slurred'),
            tries: timesOption(3, 1, 8),
            overtones: tuningOption,
            tempoBpm: tempoOption(60),
            start: startOption('playToStart'),
          },
    ),
  write({ note: tube, partial, beats, from, attack, tries, overtones }, { highest }) {
    const { low, most } = playable(tube, partial, highest);
    const sounding = partialNote(writtenMidi(low), most);
    return {
      overtones,
      rest: restOf(4),
      phrases: [
        {
          items: [
            note(sounding, beats, from),
            rung(low, most, beats, from, attack),
            note(sounding, beats, from, from, attack),
          ],
          breath: 'one',
          repeats: tries,
        },
      ],
    };
  },
});

/** A rung whose note has a regular fingering in the range: the one asked for, or the nearest below it. */
function playable(tube: number, partial: number, highest: number) {
  let low = tube;
  while (partialNote(writtenMidi(low), 2) > highest) low--;
  return { low, most: within(low, partial, highest) };
}

/** From an overtone down the series in one breath; then the next fundamental, a half step lower. */
export const overtoneCascade = defineFamily({
  id: 'overtoneCascade',
  purposes: ['voicing', 'line'],
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn, LAST_FUNDAMENTAL),
      to: tubeOption(horn),
      partial: partialOption(2),
      beats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      tries: timesOption(2, 1, 4),
      overtones: tuningOption,
      tempoBpm: tempoOption(72),
      start: startOption('playToStart'),
    })),
  write: ({ note: first, to, partial, beats, from, tries, overtones }) => ({
    overtones,
    rest: restOf(4),
    phrases: chromatic(first, to).map((tube) => ({
      items: upTo(within(tube, partial, HIGHEST_NOTE))
        .toReversed()
        .map((each, i) => rung(tube, each, beats, from, i === 0 ? 'any' : 'slurred')),
      breath: 'one',
      repeats: tries,
    })),
  }),
});

/** Straight to an overtone, without its fundamental before it. */
export const overtoneHits = defineFamily({
  id: 'overtoneHits',
  purposes: ['start', 'voicing'],
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(3),
      attack: accentOption,
      beats: beatsOption(2, 1, 8),
      restBeats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      tries: timesOption(4, 1, 12),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
      start: startOption('countIn'),
    })),
  write({ note: tube, partial, attack, beats, restBeats, from, tries, overtones }) {
    const hit = rung(tube, within(tube, partial, HIGHEST_NOTE), beats, from, attack);
    return {
      overtones,
      rest: restOf(8),
      phrases: [
        { items: Array.from({ length: tries }, (_, i) => (i === 0 ? [hit] : [rest(restBeats), hit])).flat() },
      ],
    };
  },
});

/** A rung heard, hummed, then played. */
export const overtoneEar = defineFamily({
  id: 'overtoneEar',
  purposes: ['ear', 'voicing'],
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(3),
      beats: beatsOption(4, 2, 8),
      from: markOption('mf'),
      tries: timesOption(3, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
    })),
  write({ note: tube, partial, beats, from, tries, overtones }) {
    const played = rung(tube, within(tube, partial, HIGHEST_NOTE), beats, from, 'breath');
    const { writtenMidi: sounding } = played;
    const before: ExerciseItem[] = [
      { kind: 'hear', writtenMidi: sounding, lengthBeats: beats },
      { kind: 'hum', writtenMidi: sounding, lengthBeats: beats },
    ];
    return { overtones, rest: restOf(4), phrases: [{ items: [...before, played], repeats: tries }] };
  },
});

const MATCHED: Judged[] = ['pitch', 'start', 'match'];

/** The note with its own fingering, then the same pitch as an overtone: how near they come in colour and pitch. */
export const overtoneMatch = defineFamily({
  id: 'overtoneMatch',
  purposes: ['compare', 'voicing'],
  options: (horn) =>
    withTubes(horn, () =>
      partialNote(horn.lowest, 2) > horn.highest
        ? null
        : {
            note: tubeOption(horn),
            partial: partialOption(3),
            beats: beatsOption(4, 2, 12),
            restBeats: beatsOption(2, 1, 8),
            from: markOption('mf'),
            tries: timesOption(3, 1, 8),
            tempoBpm: tempoOption(60),
            start: startOption('playToStart'),
          },
    ),
  write({ note: tube, partial, beats, restBeats, from, tries }, { highest }) {
    const { low, most } = playable(tube, partial, highest);
    const sounding = partialNote(writtenMidi(low), most);
    return {
      rest: restOf(4),
      phrases: [
        {
          items: [
            { ...note(sounding, beats, from), judged: MATCHED },
            rest(restBeats),
            { ...rung(low, most, beats, from, 'any'), judged: MATCHED },
          ],
          repeats: tries,
        },
      ],
    };
  },
});

const OPENED_NOTE = 74;

/** D5 with the D6 palm key opened, then without it: the open colour under the closed fingering. */
export const openedTone = defineFamily({
  id: 'openedTone',
  purposes: ['compare', 'voicing'],
  options: ({ lowest, highest }) =>
    lowest > OPENED_NOTE || highest < OPENED_NOTE
      ? null
      : {
          beats: beatsOption(4, 2, 12),
          restBeats: beatsOption(2, 1, 8),
          from: markOption('mf'),
          tries: timesOption(3, 1, 8),
          tempoBpm: tempoOption(60),
          start: startOption('playToStart'),
        },
  write: ({ beats, restBeats, from, tries }) => ({
    rest: restOf(4),
    phrases: [
      {
        items: [
          {
            ...note(OPENED_NOTE, beats, from),
            keys: ['oct', 'L1', 'L2', 'L3', 'palmD', 'R1', 'R2', 'R3'],
            judged: MATCHED,
          },
          rest(restBeats),
          { ...note(OPENED_NOTE, beats, from), judged: MATCHED },
        ],
        repeats: tries,
      },
    ],
  }),
});

/** Where overtones begin to have routes worth taking, and where an overblown fifth begins. */
const SCALE_FROM = 70;
const FIFTH_FROM = 81;
const SCALE_TO = 90;

/** A scale of a key through routes, up and down: the likeliest ones to speak, as is usual of them. */
export const overtoneScale = defineFamily({
  id: 'overtoneScale',
  purposes: ['line', 'voicing'],
  options: ({ lowest, highest }) =>
    lowest > 62 || highest < SCALE_TO - 1
      ? null
      : {
          key: choiceOption(MAJOR_KEYS, 'Bb'),
          route: choiceOption(ROUTE_MODES, 'overtones'),
          beats: beatsOption(2, 1, 8),
          from: markOption('mf'),
          attack: choiceOption(['slurred', 'tongued'], 'tongued'),
          overtones: tuningOption,
          tempoBpm: tempoOption(60),
          start: startOption('countIn'),
        },
  write({ key, route: mode, beats, from, attack, overtones }, horn) {
    const first = mode === 'fifth' ? FIFTH_FROM : SCALE_FROM;
    const up = chromatic(first, Math.min(SCALE_TO, horn.highest)).filter((midi) => isInKey(midi, key));
    const scale = [...up, ...up.toReversed().slice(1)];
    const line = bestLine({ notes: scale, horn, mode, chanceOf: (route) => routeChance(route, null) });
    const steps = line?.notes ?? [];
    return {
      overtones,
      rest: restOf(8),
      phrases: [
        {
          items: steps.map(({ note: midi, route: { kind, fingered } }, i) => ({
            ...(i > 0 && attack === 'slurred'
              ? slurred(midi, beats, from)
              : note(midi, beats, from, from, i === 0 ? 'any' : attack)),
            fingered: kind === 'regular' ? null : fingered,
          })),
          key,
        },
      ],
    };
  },
});
