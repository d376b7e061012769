import { gearChanges } from '@inner-hum/core/practice';
import type { HornId } from '@inner-hum/core/horn';
import { startOfDay } from 'date-fns';
import { mouthpiecePullMm } from '../../addresses/index.ts';
import {
  dayOf,
  listHornChecks,
  listMouthpieces,
  listReeds,
  listRounds,
  type CheckKind,
  type PracticeDayRecord,
} from '../../storage/index.ts';
import { reedName } from '../../notation/index.ts';

/** Something that was done to horn, mouthpiece or reed on a day; `text` is the player's own. */
export interface Mark {
  key: string;
  hornId: HornId;
  /** `yyyy-MM-dd`, and when it counts from, in ms. */
  day: string;
  at: number;
  kind: 'reed' | 'mouthpiece' | 'moved' | CheckKind;
  text: string;
  /** Of a moved mouthpiece: mm out. */
  pulledMm: number | null;
}

/** A look at the horn changes nothing on it. */
export const isChange = ({ kind }: Mark) => kind !== 'leakTest';

const startOf = (day: string) => startOfDay(`${day}T00:00:00`).getTime();

/** Everything that was done on a horn, oldest first; reeds and mouthpieces as the days were played on them. */
export async function marksOf(hornId: HornId, practice: readonly PracticeDayRecord[]): Promise<Mark[]> {
  const [reeds, mouthpieces, checks, rounds] = await Promise.all([
    listReeds(hornId),
    listMouthpieces(hornId),
    listHornChecks(hornId),
    listRounds('mouthpieceMove', hornId),
  ]);
  const nameOf = (kind: 'reed' | 'mouthpiece', id: string) => {
    if (kind === 'mouthpiece') return mouthpieces.find((each) => each.id === id)?.name ?? '';
    const reed = reeds.find((each) => each.id === id);
    return reed ? reedName(reed) : '';
  };
  const own = practice.filter((each) => each.hornId === hornId);
  return [
    ...gearChanges(own).map(({ day, kind, id }): Mark => ({
      key: `${kind} ${day}`,
      hornId,
      day,
      at: startOf(day),
      kind,
      text: nameOf(kind, id),
      pulledMm: null,
    })),
    ...checks.map(({ id, day, kind, text }): Mark => ({
      key: id,
      hornId,
      day,
      at: startOf(day),
      kind,
      text,
      pulledMm: null,
    })),
    ...rounds.map((round): Mark => ({
      key: round.id,
      hornId,
      day: dayOf(round.startedAt),
      at: round.startedAt,
      kind: 'moved',
      text: '',
      pulledMm: mouthpiecePullMm(round),
    })),
  ].toSorted((a, b) => a.at - b.at);
}
