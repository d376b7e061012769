import { candidatesOf, type Candidate } from './candidates.ts';
import { choose } from './chooseLines.ts';
import { inOrder } from './lineOrder.ts';
import { ownRoutine } from './ownRoutine.ts';
import { practiceHistory, type PracticeHistory } from './practiceHistory.ts';
import { reasonOf, type Reason } from './reason.ts';
import type { SheetLine } from './sheetLine.ts';
import type { SheetRequest } from './sheetRequest.ts';
import { restAfter, total } from './rests.ts';
import { openingItems, type SheetItem } from './sheetItems.ts';

/** A little free play: at least this share and at most that, as things come out. */
const FREE_SHARE = 0.06;

/**
 * Today's sheet for so many minutes: begins with air and an easy middle note, holds something low, middle and high, alternates heavy and
 * light, keeps its rests, stays inside the limits, and leaves a little free play. On each note and skill what needs practice most comes in,
 * at most two drills that are new, none of them hard in the last two minutes; a school's or path's own lines come first; what was put aside does not come. The player's own routine is played as it is, as far as the minutes
 * go. The same request gives the same sheet.
 */
export function todaySheet(request: SheetRequest): SheetLine[] {
  const { minutes, aim, now, routine } = request;
  const budget = 60 * minutes;
  const history = practiceHistory(request.history, now);
  const lines =
    aim === 'own' && routine.length > 0
      ? ownRoutine(routine, budget * (1 - FREE_SHARE), request)
      : plannedLines(request, history);
  const free = budget - lines.reduce((sum, { seconds }) => sum + seconds, 0);
  return [
    ...lines,
    {
      key: 'free',
      familyAndZone: 'free',
      family: null,
      item: null,
      exerciseId: null,
      seconds: Math.max(0, free),
      restSeconds: 0,
      reason: { kind: 'free' },
    },
  ];
}

const lineOf = (item: SheetItem, reason: Reason): SheetLine => ({
  key: item.key,
  familyAndZone: item.familyAndZone,
  family: item.family,
  item,
  exerciseId: null,
  seconds: total(item),
  restSeconds: restAfter(item),
  reason,
});

const sum = (chosen: readonly Candidate[]) => chosen.reduce((seconds, { item }) => seconds + total(item), 0);

/** Long tones for time that is left, where little is known yet and no more than two new drills come. */
function fillUp(fillers: readonly Candidate[], seconds: number, notToday: readonly string[]): Candidate[] {
  const chosen: Candidate[] = [];
  for (const each of fillers)
    if (sum([...chosen, each]) <= seconds && !notToday.includes(each.item.familyAndZone)) chosen.push(each);
  return chosen;
}

function plannedLines(request: SheetRequest, history: PracticeHistory): SheetLine[] {
  const { horn, dayNumber, notToday } = request;
  const budget = 60 * request.minutes;
  const opening = openingItems(horn, dayNumber);
  const { candidates, fillers, covered, progress } = candidatesOf(request, history);
  // What is done or kept stays, a filler too, whatever is planned anew.
  const wanted = [...candidates, ...fillers.filter(({ stays }) => stays)]
    .filter(({ item }) => !notToday.includes(item.familyAndZone))
    .toSorted((a, b) => b.worth - a.worth || a.item.key.localeCompare(b.item.key));
  const warmUp = opening.reduce((seconds, item) => seconds + total(item), 0);
  const room = budget * (1 - FREE_SHARE) - warmUp;
  const planned = choose(wanted, room, request);
  const chosen = [
    ...planned,
    ...fillUp(
      fillers.filter(({ stays }) => !stays),
      room - sum(planned),
      notToday,
    ),
  ];
  return [
    ...opening.map((item) => lineOf(item, { kind: 'opening' })),
    ...inOrder(chosen, budget - warmUp).map((each) => lineOf(each.item, reasonOf(each, covered, progress))),
  ];
}
