import { LAST_REGULAR, writtenMidi, type Horn } from '@inner-hum/core/horn';
import {
  CELL,
  evennessOf,
  findingsOf,
  fitMap,
  noteSums,
  type Evenness,
  type MapFinding,
  type NoteSums,
  type TendencyMap,
} from '@inner-hum/core/tendency';
import { subMonths, subWeeks } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { playersHorn } from '../../addresses/index.ts';
import {
  dayOf,
  gearOf,
  listMouthpieces,
  listRounds,
  listTendencyDays,
  listSetups,
  readSettings,
  readSetupKey,
  setupKey,
  takesOfRounds,
  type MouthpieceRecord,
  type SettingsRecord,
  type TendencyDayRecord,
} from '../../storage/index.ts';
import { useRemembered, type Keyed } from '../../ui/index.ts';
import type { MapLook, MapRange } from './mapAddress.ts';
import { movesOf, type Move } from './moves.ts';

/** Rows of the map besides pitch, and how far off a note would plainly be heard. */
export const ROWS = {
  responseMs: 200,
  holdSeconds: 6,
  noiseToHarmonicDb: 8,
  centroidHarmonics: 1.5,
  levelDb: 6,
} as const;
export type RowName = keyof typeof ROWS;
const UNEVEN_CENTS = 20;
/** Among the others known better than this a note is drawn as known. */
export const KNOWN_CENTS = 6;

export interface HornMap {
  settings: SettingsRecord;
  horn: Horn;
  mouthpiece: MouthpieceRecord;
  /** Other set-ups of this horn that have days, the one played last first. */
  others: { setup: string; mouthpiece: MouthpieceRecord; reedKind: string }[];
  days: TendencyDayRecord[];
  map: TendencyMap;
  sums: NoteSums[];
  /** What is laid under: `nothing`, `before`, or a set-up. */
  over: string;
  /** Its map; null where nothing is laid under. */
  under: TendencyMap | null;
  pitch: Evenness | null;
  rows: Record<RowName, Evenness | null>;
  findings: MapFinding[];
  moves: Move[];
}

/** A map of fewer days is a new one. */
const NEW_DAYS = 3;

function firstDay(range: MapRange, moves: readonly Move[], now: Date): string {
  const moved = moves.at(-1);
  if (range === 'weeks') return dayOf(subWeeks(now, 6));
  if (range === 'year') return dayOf(subMonths(now, 12));
  return range === 'move' && moved ? dayOf(new Date(moved.at)) : '';
}

/** The highest note that any day holds; 0 for none. */
function highestIn(days: readonly TendencyDayRecord[]): number {
  return Math.max(
    0,
    ...days.map(({ cells }) => (cells.length > 0 ? cells[cells.length - CELL.width + CELL.midi] : 0)),
  );
}

/** The map of the horn and mouthpiece that are played, from the kept takes of whoever plays now; null while it is read. */
export function useHornMap({ range, over }: Pick<MapLook, 'range' | 'over'>): HornMap | null {
  const settings = useLiveQuery(readSettings);
  const key = settings
    ? `map ${[settings.hornId, settings.source, setupKey(gearOf(settings)), range, over].join(' ')}`
    : '';
  const read = useLiveQuery(async () => {
    if (!settings) return null;
    const { hornId, source } = settings;
    const gear = gearOf(settings);
    const setup = setupKey(gear);
    const rounds = await listRounds('mouthpieceMove', hornId);
    const moves = movesOf(rounds, await takesOfRounds(rounds.map((round) => round.id)));
    const from = firstDay(range, moves, new Date());
    const [looked, mouthpieces, setups] = await Promise.all([
      listTendencyDays(setup, source, from),
      listMouthpieces(hornId),
      listSetups(source),
    ]);
    const days = range === 'day' ? looked.slice(-1) : looked;
    const others = setups.flatMap((other) => {
      const { mouthpieceId, reedKind } = readSetupKey(other.setup);
      const mouthpiece = mouthpieces.find(({ id }) => id === mouthpieceId);
      return mouthpiece && other.setup !== setup ? [{ setup: other.setup, mouthpiece, reedKind }] : [];
    });
    // A new set-up begins a new map with the one before as its background.
    const usual = days.length < NEW_DAYS ? (others.at(0)?.setup ?? 'nothing') : 'nothing';
    const wanted = over === 'usual' ? usual : over;
    const under =
      wanted === 'nothing'
        ? null
        : wanted === 'before'
          ? (await listTendencyDays(setup, source)).filter(({ day }) => day < (days.at(0)?.day ?? from))
          : await listTendencyDays(wanted, source);
    // Another kind of reed on the same mouthpiece: what changed with it.
    const reedBefore = others.find(({ mouthpiece }) => mouthpiece.id === gear.mouthpieceId);
    const daysBefore = reedBefore ? await listTendencyDays(reedBefore.setup, source) : null;
    return {
      key,
      settings,
      days,
      under,
      wanted,
      others,
      moves,
      daysBefore,
      mouthpiece: mouthpieces.find(({ id }) => id === gear.mouthpieceId) ?? mouthpieces[0],
    };
  }, [settings, range, over]);
  const latest = useMemo((): Keyed<HornMap> | null => {
    if (!read) return null;
    const horn = playersHorn(read.settings);
    // Altissimo that was played has its place as well.
    const highest = writtenMidi(Math.max(horn.highest, LAST_REGULAR, highestIn(read.days)));
    const { lowest } = horn;
    const map = fitMap(read.days, lowest, highest);
    const sums = noteSums(read.days, lowest, highest);
    const known = map.notes.filter(({ days, placeError }) => days > 0 && placeError <= KNOWN_CENTS);
    const row = (name: RowName) =>
      evennessOf(
        sums.flatMap(({ writtenMidi: midi, measures }) => {
          const value = measures[name];
          return value === null ? [] : [{ writtenMidi: midi, value }];
        }),
        ROWS[name],
      );
    const value = {
      settings: read.settings,
      horn,
      mouthpiece: read.mouthpiece,
      others: read.others,
      over: read.wanted,
      days: read.days,
      map,
      sums,
      under: read.under && fitMap(read.under, lowest, highest),
      pitch: evennessOf(
        known.map(({ writtenMidi: midi, at }) => ({ writtenMidi: midi, value: at(0).cents })),
        UNEVEN_CENTS,
      ),
      rows: {
        responseMs: row('responseMs'),
        holdSeconds: row('holdSeconds'),
        noiseToHarmonicDb: row('noiseToHarmonicDb'),
        centroidHarmonics: row('centroidHarmonics'),
        levelDb: row('levelDb'),
      },
      findings: findingsOf({
        map,
        sums,
        sinceReed: read.daysBefore && {
          before: noteSums(read.daysBefore, lowest, highest),
          after: sums,
        },
      }),
      moves: read.moves,
    };
    return { key: read.key, value };
  }, [read]);
  return useRemembered(key, latest);
}
