import { expect, it } from 'vitest';
import { writtenMidi } from '../horn/index.ts';
import { createRandom } from '../signal/index.ts';
import { cellsOfDay, type ObservedTake } from './cells.ts';
import { evennessOf } from './evenness.ts';
import { findingsOf, type Cause } from './findings.ts';
import { fitMap } from './fitMap.ts';
import { noteSums } from './noteSums.ts';
import type { NoteObservation } from './observations.ts';

/** What a player's notes do besides what every player's do. */
interface Player {
  made: Cause | 'healthy';
  bend?: number;
  /** Chance that a beginning fails. */
  fails?(midi: number, attack: NoteObservation['attack'], isSoft: boolean, day: number): number;
  cents?(midi: number): number;
  noiseToHarmonicDb?(midi: number): number;
  levelDb?(midi: number): number;
}

const DAYS = 14;
const REED_DAY = 8;
const isBell = (midi: number) => midi <= 61;

const PLAYERS: Player[] = [
  { made: 'healthy' },
  { made: 'bellNotesFail', fails: (midi) => (isBell(midi) ? 0.55 : 0.05) },
  { made: 'onlyTongued', fails: (midi, attack) => (isBell(midi) && attack === 'tongued' ? 0.6 : 0.04) },
  { made: 'onlySoft', fails: (midi, _, isSoft) => (isBell(midi) && isSoft ? 0.6 : 0.04) },
  { made: 'sharpWhenSoft', bend: -17 },
  { made: 'oneNoteOff', cents: (midi) => (midi === 69 ? 22 : 0) },
  {
    made: 'secondRegisterThin',
    noiseToHarmonicDb: (midi) => (midi >= 74 && midi <= 85 ? 10 : 0),
    levelDb: (midi) => (midi >= 74 ? -6 : 0),
  },
  { made: 'lowNotesLoud', levelDb: (midi) => (isBell(midi) ? 9 : 0) },
  { made: 'sinceReed', fails: (_midi, _attack, _soft, day) => (day < REED_DAY ? 0.04 : 0.6) },
];

function practise(player: Player, seed: number) {
  const random = createRandom(seed);
  // Every horn has its own: a slow curve, and a little by each note.
  const horn = Array.from({ length: 33 }, (_, i) => 6 * Math.sin(i / 5 + seed) + 3 * random.normal());
  return Array.from({ length: DAYS }, (_, day) => {
    const dayCents = 3 * random.normal();
    const takes = Array.from({ length: 10 }, (_, take): ObservedTake => ({
      startedAt: 86_400_000 * (20_000 + day) + 60_000 * 3 * take,
      lengthSeconds: 90,
      notes: Array.from({ length: 8 }, (): NoteObservation => {
        const midi = 58 + Math.floor(random.uniform() ** 1.4 * 33);
        const attack = (['tongued', 'breath', null] as const)[Math.floor(3 * random.uniform())];
        const level = random.normal() * 0.6;
        // Low notes are harder for everyone.
        const usual = isBell(midi) ? 0.1 : 0.04;
        const chance = player.fails?.(midi, attack, level < 0, day) ?? usual;
        const failed = random.uniform() < chance;
        return {
          writtenMidi: writtenMidi(midi),
          points: [
            {
              cents:
                horn[midi - 58] +
                (player.cents?.(midi) ?? 0) +
                (player.bend ?? -6) * level +
                dayCents -
                10 * Math.exp(-take / 2) +
                4 * random.normal(),
              level,
            },
          ],
          responseMs: 60 + 30 * random.uniform(),
          holdSeconds: null,
          noiseToHarmonicDb: -22 + (player.noiseToHarmonicDb?.(midi) ?? 0) + 2 * random.normal(),
          centroidHarmonics: 4 - midi / 40 + 0.3 * random.normal(),
          levelDb: 10 * level + (player.levelDb?.(midi) ?? 0),
          softest: null,
          loudest: null,
          attack,
          start: failed ? (random.uniform() < 0.5 ? 'jumped' : 'slow') : 'clean',
        };
      }),
    }));
    return cellsOfDay(`day ${day}`, takes);
  });
}

it('tells likely causes apart over many players, leaves the healthy alone, and prints the table', () => {
  const table = new Map<string, number>();
  const seedsOf = ({ made }: Player) => (made === 'healthy' ? 60 : 15);
  const named: Record<string, number> = {};
  for (const player of PLAYERS)
    for (let seed = 1; seed <= seedsOf(player); seed++) {
      const days = practise(player, 100 * seed + PLAYERS.indexOf(player));
      const sums = noteSums(days, 58, 90);
      const found = findingsOf({
        map: fitMap(days, 58, 90),
        sums,
        sinceReed: {
          before: noteSums(days.slice(0, REED_DAY), 58, 90),
          after: noteSums(days.slice(REED_DAY), 58, 90),
        },
      });
      const causes = [...new Set(found.map(({ cause }) => cause))];
      for (const cause of causes.length > 0 ? causes : ['nothing']) {
        const key = `${player.made} > ${cause}`;
        table.set(key, (table.get(key) ?? 0) + 1);
      }
      const right = player.made === 'healthy' ? causes.length === 0 : causes.includes(player.made);
      if (right) named[player.made] = (named[player.made] ?? 0) + 1;
      for (const { key, evidence } of found) {
        expect(key.length).toBeGreaterThan(5);
        expect(evidence.length).toBeGreaterThan(0);
      }
    }
  console.info(`findings, made > found: ${[...table].map(([name, count]) => `${name} ${count}`).join(', ')}`);
  expect(named.healthy / 60).toBeGreaterThanOrEqual(0.95);
  for (const player of PLAYERS)
    expect(named[player.made], player.made).toBeGreaterThanOrEqual(0.8 * seedsOf(player));
});

it('measures evenness against the neighbours, and names what sticks out', () => {
  const values = (odd: (midi: number) => number) =>
    Array.from({ length: 33 }, (_, i) => ({
      writtenMidi: writtenMidi(58 + i),
      // A slope, and a step over the break, are no unevenness.
      value: 0.4 * i + (58 + i >= 74 ? 12 : 0) + odd(58 + i),
    }));
  const straight = evennessOf(
    values(() => 0),
    20,
  );
  expect(straight?.index).toBe(100);
  expect(straight?.stickOut).toEqual([]);
  const odd = evennessOf(
    values((midi) => (midi === 66 ? 15 : midi === 80 ? -9 : 0)),
    20,
  );
  expect(odd?.stickOut.map(({ writtenMidi: midi }) => midi)).toEqual([66, 80]);
  expect(odd?.stickOut[0]).toMatchObject({ value: 0.4 * 8 + 15 });
  expect((odd?.stickOut[0].smooth ?? NaN) - 0.4 * 8).toBeCloseTo(0, 0);
  expect(odd?.index).toBeLessThan(90);
  expect(evennessOf(values(() => 0).slice(0, 4), 20)).toBeNull();
});
