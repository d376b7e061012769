import { usualAttacks } from '@inner-hum/core/trial';
import type { DemoMoment, DemoPack, DemoRound, DemoTake } from '@inner-hum/core/formats';
import { familyById } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { differenceInSeconds, startOfDay, subDays } from 'date-fns';
import { drillAddress } from '../../addresses/index.ts';
import {
  dayOf,
  trialAddress,
  wallClock,
  type ManyRows,
  type RoundRecord,
  type TakeRecord,
} from '../../storage/index.ts';

/** The moments of the scenario as if its last day were today. Opened so early that it would lie ahead, that day is pressed together: nothing was played later than now. */
function clock({ takes, rounds }: DemoPack, now: Date) {
  const dayAt = (daysAgo: number) => startOfDay(subDays(now, daysAgo));
  const seconds = [...takes, ...rounds].map(({ daysAgo, second }) => (daysAgo === 0 ? second : 0));
  const share = Math.min(1, differenceInSeconds(now, dayAt(0)) / Math.max(1, ...seconds));
  return {
    day: (daysAgo: number) => dayOf(dayAt(daysAgo).getTime()),
    at({ daysAgo, second }: DemoMoment) {
      const at = dayAt(daysAgo).getTime() + 1000 * second * (daysAgo === 0 ? share : 1);
      return Math.min(Math.round(at), now.getTime());
    },
  };
}

function takeRecord(take: DemoTake, startedAt: number): TakeRecord {
  const { context } = take;
  return {
    id: take.id,
    state: 'kept',
    kind: 'exercise',
    roundId: take.roundId,
    phrase: take.phrase,
    call: take.call,
    startedAt,
    ...wallClock(startedAt),
    hornId: context.hornId,
    a4Hz: context.a4Hz,
    scale: context.scale,
    source: 'standIn',
    eyes: take.eyes,
    sampleRateHz: take.sampleRateHz,
    lengthSeconds: take.lengthSeconds,
    context,
    dueClickSeconds: [],
    foundClickSeconds: [],
    analysis: take.analysis,
    loudness: take.loudness,
    playingLoad: take.playingLoad,
    mouthpieceId: take.mouthpieceId,
    reedId: take.reedId,
    reedKind: take.reedKind,
    playerNote: take.playerNote,
    recovered: false,
    deletedAt: null,
  };
}

function roundRecord({ id, hornId, of }: DemoRound, startedAt: number): RoundRecord[] {
  if ('trialId' in of)
    return [{ id, hornId, startedAt, exercise: of.exercise, address: trialAddress(of.trialId) }];
  const family = familyById(of.family);
  const horn = hornById(hornId);
  if (!family) return [];
  return [
    {
      id,
      hornId,
      startedAt,
      exercise: family.build(horn, of.choices),
      address: drillAddress(family, horn, of.choices),
    },
  ];
}

/** The scenario as rows of the database, its last day being today. */
export function demoRows(pack: DemoPack, now: Date): ManyRows {
  const { day, at } = clock(pack, now);
  const noon = (daysAgo: number) => at({ daysAgo, second: 12 * 3600 });
  return {
    takes: pack.takes.map((take) => takeRecord(take, at(take))),
    frames: pack.takes.map(({ id, frames }) => ({ takeId: id, columns: frames })),
    performances: pack.takes.map(({ id, played }) => ({ takeId: id, ...played })),
    rounds: pack.rounds.flatMap((round) => roundRecord(round, at(round))),
    trials: pack.trials.map(({ daysAgo, ...trial }) => ({
      ...trial,
      attacks: usualAttacks(trial.tone),
      createdAt: noon(daysAgo),
      deletedAt: null,
    })),
    tasks: pack.tasks.map(({ daysAgo, byInDays, items, ...task }) => ({
      ...task,
      items: items.map((item) => ({ ...item, exerciseId: null })),
      byDay: day(-byInDays),
      path: null,
      createdAt: noon(daysAgo),
      doneAt: null,
      deletedAt: null,
    })),
    aims: pack.aims.map(({ daysAgo, byInDays, doneDaysAgo, ...aim }) => ({
      ...aim,
      byDay: byInDays === null ? null : day(-byInDays),
      createdAt: noon(daysAgo),
      doneAt: doneDaysAgo === null ? null : noon(doneDaysAgo),
    })),
    mouthpieces: pack.mouthpieces.map((mouthpiece) => ({ ...mouthpiece, createdAt: 0 })),
    reeds: pack.reeds.map(({ daysAgo, retiredDaysAgo, remarks, ...reed }) => ({
      ...reed,
      createdAt: noon(daysAgo),
      retiredAt: retiredDaysAgo === null ? null : noon(retiredDaysAgo),
      remarks: remarks.map(({ daysAgo: said, ...remark }) => ({ ...remark, at: noon(said) })),
    })),
    hornChecks: pack.checks.map(({ daysAgo, ...check }, i) => ({
      ...check,
      id: `demo-check-${i}`,
      day: day(daysAgo),
    })),
    dayNotes: pack.dayNotes.map(({ daysAgo, ...note }) => ({ ...note, day: day(daysAgo) })),
  };
}
