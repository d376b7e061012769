import {
  levelAtFraction,
  markFraction,
  scoreOf,
  secondsPerBeat,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { HIGHEST_PARTIAL, pitchTarget, type WrittenMidi } from '../horn/index.ts';
import { faultOf } from './faults.ts';
import {
  airDb,
  MISSED,
  newTone,
  planBreath,
  type PlannedTone,
  type Planning,
  type PlanRequest,
} from './planning.ts';
import type { SimulatedAir } from './playAir.ts';
import type { SimulatedSquawk } from './playSquawk.ts';
import { planNote } from './planNote.ts';
import type { ItemTruth } from './truth.ts';

export interface TonePlan {
  tones: PlannedTone[];
  airs: SimulatedAir[];
  squawks: SimulatedSquawk[];
  /** Times in seconds from beat 0. */
  items: ItemTruth[];
  lengthSeconds: number;
}

/** People hum between about these, whatever the horn. */
const HIGHEST_HUM_HZ = 240;

const NO_TONE: ItemTruth = { ...MISSED, played: 'asWritten' };

/** What the simulated player will do with every item: tones with their slurs, breaths, and the truth about both. */
export function planTones(request: PlanRequest): TonePlan {
  const { exercise, hornId, a4Hz, faults } = request;
  const score = scoreOf(exercise);
  const beat = secondsPerBeat(exercise);
  const planning: Planning = { request, score, secondsPerBeat: beat, tones: [], airs: [], squawks: [] };
  const items = score.map((timed, index): ItemTruth => {
    const { item } = timed;
    const [from, to] = [timed.startBeat * beat, timed.endBeat * beat];
    if (item.kind === 'note') return planNote(planning, timed as TimedItem<NoteItem>, index);
    if (faultOf(faults, index, 'missed')) return MISSED;
    if (item.kind === 'hum')
      return planHum(planning, pitchTarget(item, hornId, a4Hz).targetHz, from, to, index);
    if (item.kind === 'free' && item.fingered) return planFinds(planning, item.fingered, from, to, index);
    if (item.kind === 'rest' && faultOf(faults, index, 'breathInGap')) planBreath(planning, from + 0.4);
    if (item.kind !== 'air') return NO_TONE;
    const louderDb = faultOf(faults, index, 'air')?.db ?? 0;
    planning.airs.push({ startSeconds: from, endSeconds: to, levelDb: airDb(planning) + louderDb });
    return { ...NO_TONE, onsetSeconds: from, endSeconds: to };
  });
  const { tones, airs, squawks } = planning;
  return { tones, airs, squawks, items, lengthSeconds: (score.at(-1)?.endBeat ?? 0) * beat };
}

/** What this player finds on one fingering: its tube's partials upward and back down, a breath between each two. */
const FINDS = [1, 2, 3, 4, 3, 2];
const FIND_SECONDS = 1.6;
const FIND_BREATH_SECONDS = 0.5;

function planFinds(
  planning: Planning,
  fingered: WrittenMidi,
  from: number,
  to: number,
  index: number,
): ItemTruth {
  const { hornId, a4Hz, scale, faults } = planning.request;
  const { tubeHz } = pitchTarget({ writtenMidi: fingered }, hornId, a4Hz);
  const most = faultOf(faults, index, 'wrongPartial')?.partial ?? HIGHEST_PARTIAL;
  FINDS.forEach((partial, i) => {
    const start = from + i * (FIND_SECONDS + FIND_BREATH_SECONDS);
    if (partial > most || start + FIND_SECONDS > to) return;
    const tone = newTone(planning, start, start + FIND_SECONDS);
    tone.soundingHz = partial * tubeHz;
    tone.partial = partial;
    tone.cents = faultOf(faults, index, 'off')?.cents ?? 0;
    tone.levelDbAtBeat = () => levelAtFraction(markFraction('mf'), scale);
  });
  return { ...NO_TONE, onsetSeconds: from, endSeconds: to };
}

function planHum(planning: Planning, targetHz: number, from: number, to: number, index: number): ItemTruth {
  const { scale, faults } = planning.request;
  const tone = newTone(planning, from + 0.1, to - 0.2);
  tone.soundingHz = targetHz / 2 ** Math.max(0, Math.ceil(Math.log2(targetHz / HIGHEST_HUM_HZ)));
  tone.cents = faultOf(faults, index, 'off')?.cents ?? 0;
  tone.levelDbAtBeat = () => levelAtFraction(markFraction('p'), scale);
  return { ...NO_TONE, onsetSeconds: tone.startSeconds, endSeconds: tone.endSeconds };
}
