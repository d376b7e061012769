import { hornById, type HornId } from '@inner-hum/core/horn';
import { todaySheet } from '@inner-hum/core/plan';
import { skillOf } from '@inner-hum/core/exercise';
import { practisedNotes, zoneOfNote, type PractisedNote } from '@inner-hum/core/practice';
import { guessedEnds, measuredSide } from '@inner-hum/core/judge';
import { createRandom } from '@inner-hum/core/signal';
import type { DemoMoment, DemoTake } from '@inner-hum/core/formats';
import { createLearner, playingOf } from './learner.ts';
import { phraseOf } from './phraseOf.ts';
import { playTake } from './playTake.ts';
import { DAYS, gearOn, STUFFY, TENOR_FROM } from './story.ts';

const DAY_MS = 24 * 3600_000;
/** A moment as the plan counts it. */
const msOf = ({ daysAgo, second }: DemoMoment) => (DAYS + 1 - daysAgo) * DAY_MS + 1000 * second;

/** So many lines of a sheet are kept as takes, one phrase each: twelve weeks are to stay small. */
const LINES_A_DAY = 5;
const LINES_BESIDE_SCENES = 3;
const SCENES_FROM = 6;

/** So many takes are played without looking. */
const BLIND = 0.25;
const SIDES = ['flat', 'true', 'sharp'] as const;

/** What the player says of a blind take: right the more often the longer this goes on (0-1), else whatever. */
function calledIn(
  { analysis, context }: DemoTake,
  random: { uniform(): number },
  grown: number,
): DemoTake['call'] {
  if (!analysis) return null;
  const call = guessedEnds(context.exercise).flatMap((end) => {
    const measured = measuredSide(analysis.measures, end);
    if (measured === null) return [];
    const guess = SIDES[Math.floor(3 * random.uniform())];
    return [[end, random.uniform() < 0.35 + 0.45 * grown ? measured : guess]];
  });
  return Object.fromEntries(call) as DemoTake['call'];
}

/** Which horn is played on a day; null: none. */
function hornOn(daysAgo: number, random: { uniform(): number }): HornId | null {
  if (daysAgo > 0 && random.uniform() < 0.27) return null;
  return daysAgo <= TENOR_FROM && daysAgo % 3 === 1 ? 'tenor' : 'alto';
}

/** Twelve weeks of sheets, planned by the app's own planner from what was played, and played by one who learns from it. */
export function playSheets(beside: readonly DemoTake[], tell: (day: number) => void): DemoTake[] {
  const random = createRandom(20);
  const learner = createLearner();
  const takes: DemoTake[] = [];
  const notes = new Map<HornId, PractisedNote[]>([
    ['alto', []],
    ['tenor', []],
  ]);
  const learn = (take: DemoTake) => {
    if (!take.analysis) return;
    const own = practisedNotes(take.context, take.analysis, {
      day: String(take.daysAgo),
      startedAt: msOf(take),
    });
    notes.get(take.context.hornId)?.push(...own);
    for (const zone of new Set(own.map(({ fingeredMidi }) => zoneOfNote(fingeredMidi))))
      learner.practise(take.context.hornId, skillOf(take.context.exercise.family), zone);
  };
  for (let daysAgo = DAYS - 1; daysAgo >= 0; daysAgo--) {
    tell(daysAgo);
    learner.sleep();
    const hornId = hornOn(daysAgo, random);
    const hour = random.uniform() < 0.3 ? 7.1 : 18 + 2 * random.uniform();
    if (hornId) {
      const now = msOf({ daysAgo, second: 3600 * hour });
      const sheet = todaySheet({
        horn: hornById(hornId),
        minutes: 10,
        aim: daysAgo > STUFFY ? 'zones' : 'low',
        family: null,
        routine: [],
        history: notes.get(hornId) ?? [],
        now,
        dayStart: now - 3600_000 * hour,
        dayNumber: DAYS - daysAgo,
        highSeconds: 900,
        loudSeconds: null,
        kept: [],
        notToday: [],
        focus: [],
        experience: null,
        openGates: [],
        path: null,
        wishes: [],
      });
      const lines = sheet.flatMap(({ item, key }) => (item && key !== 'opening/airThenNote' ? [item] : []));
      const most = daysAgo <= SCENES_FROM ? LINES_BESIDE_SCENES : LINES_A_DAY;
      for (const [place, { family, choices }] of lines.slice(0, most).entries()) {
        const exercise = phraseOf(family, choices, hornId, DAYS - daysAgo);
        const seed = 10_000 + 20 * daysAgo + place;
        const isBlind = random.uniform() < BLIND;
        const played = playTake({
          id: `demo-${daysAgo}-${place}`,
          daysAgo,
          second: Math.round(3600 * hour + 100 * place),
          exercise,
          hornId,
          gear: gearOn(hornId, daysAgo),
          seed,
          eyes: isBlind ? 'blind' : 'watch',
          ...playingOf(learner, exercise, hornId, daysAgo, random, seed),
        });
        const take = { ...played, call: isBlind ? calledIn(played, random, 1 - daysAgo / DAYS) : null };
        if (!take.analysis) continue;
        takes.push(take);
        learn(take);
      }
    }
    for (const take of beside) if (take.daysAgo === daysAgo) learn(take);
  }
  return takes;
}
