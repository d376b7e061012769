import { writtenMidi, type Horn } from '@inner-hum/core/horn';
import {
  evennessOf,
  findingsOf,
  fitMap,
  noteSums,
  type Evenness,
  type MapFinding,
  type NoteSums,
  type TendencyMap,
} from '@inner-hum/core/tendency';
import { format, subMonths, subWeeks } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { playersHorn } from '../../session/index.ts';
import {
  listMouthpieces,
  listRounds,
  listTendencyDays,
  mouthpieceOf,
  readSettings,
  takesOfRounds,
  type MouthpieceRecord,
  type SettingsRecord,
  type TendencyDayRecord,
} from '../../storage/index.ts';
import type { MapLook, MapRange } from './mapAddress.ts';
import { movesOf, type Move } from './moves.ts';

/** Rows of the map besides pitch, and how far off a note would plainly be heard. */
export const ROWS = {
  responseMs: 200,
  holdSeconds: 6,
  breathDb: 8,
  brightness: 1.5,
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
  mouthpieces: MouthpieceRecord[];
  days: TendencyDayRecord[];
  map: TendencyMap;
  sums: NoteSums[];
  /** Of the time before, or of another mouthpiece; null where nothing is laid under. */
  under: TendencyMap | null;
  pitch: Evenness | null;
  rows: Record<RowName, Evenness | null>;
  findings: MapFinding[];
  moves: Move[];
}

const dayText = (date: Date) => format(date, 'yyyy-MM-dd');

function firstDay(range: MapRange, moves: readonly Move[], now: Date): string {
  const moved = moves.at(-1);
  if (range === 'weeks') return dayText(subWeeks(now, 6));
  if (range === 'year') return dayText(subMonths(now, 12));
  return range === 'move' && moved ? dayText(new Date(moved.at)) : '';
}

/** The map of the horn and mouthpiece that are played, from the kept takes of whoever plays now; null while it is read. */
export function useHornMap({ range, over }: Pick<MapLook, 'range' | 'over'>): HornMap | null {
  const settings = useLiveQuery(readSettings);
  const read = useLiveQuery(async () => {
    if (!settings) return null;
    const { hornId, source } = settings;
    const id = mouthpieceOf(settings);
    const rounds = await listRounds('mouthpieceMove', hornId);
    const moves = movesOf(rounds, await takesOfRounds(rounds.map((round) => round.id)));
    const from = firstDay(range, moves, new Date());
    const [days, mouthpieces] = await Promise.all([
      listTendencyDays(id, source, from),
      listMouthpieces(hornId),
    ]);
    const under =
      over === 'before'
        ? (await listTendencyDays(id, source)).filter(({ day }) => day < from)
        : over === ''
          ? null
          : await listTendencyDays(over, source);
    return { settings, days, under, mouthpieces, moves, id };
  }, [settings, range, over]);
  return useMemo(() => {
    if (!read) return null;
    const horn = playersHorn(read.settings);
    // Altissimo that was played has its place as well.
    const highest = writtenMidi(Math.max(horn.highest, 90));
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
    return {
      settings: read.settings,
      horn,
      mouthpieces: read.mouthpieces,
      mouthpiece: read.mouthpieces.find(({ id }) => id === read.id) ?? read.mouthpieces[0],
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
        breathDb: row('breathDb'),
        brightness: row('brightness'),
        levelDb: row('levelDb'),
      },
      findings: findingsOf({ map, sums }),
      moves: read.moves,
    };
  }, [read]);
}
