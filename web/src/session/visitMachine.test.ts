import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, type Exercise } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import { PROFILES } from '@inner-hum/core/simulated';
import { DEFAULT_SETTINGS, type SettingsRecord } from '../storage/index.ts';
import type { SessionSetup } from './setup.ts';
import { diagram } from './visitDiagram.ts';
import { RULES, step } from './visitMachine.ts';
import {
  FIRST_STATE,
  VISIT_PHASES,
  type VisitEffect,
  type VisitEvent,
  type VisitPhase,
  type VisitState,
} from './visitState.ts';
import type { Moment } from './moment.ts';
import { SOUND_TROUBLES } from './troubleGroups.ts';
import { viewOf } from './visitView.ts';

const setupOf = (change: Partial<SettingsRecord> = {}): SessionSetup => ({
  settings: { ...DEFAULT_SETTINGS, source: 'standIn', ...change },
  scale: DEFAULT_SCALE,
  profile: PROFILES.goodDay,
  fingerings: new Map(),
  roomFloorDb: null,
  roundTripSeconds: 0.05,
  calibrated: true,
});

function drill(id: string, choices: object): Exercise {
  const family = familyById(id);
  if (!family) throw new Error(id);
  return family.build(hornById('alto'), choices);
}
/** Four phrases on a count of three beats a second and a third. */
const COUNTED = drill('breakDrill', { tempoBpm: 200, start: 'countIn' });
const PLAYED = drill('breakDrill', { tempoBpm: 200, start: 'playToStart' });
/** Its second phrase waits for the player's word. */
const WAITS = drill('mouthpieceMove', { tempoBpm: 150 });
const SWELL = drill('swell', {});

const heard = (change: { holdCause?: string; endSeconds?: number } = {}) =>
  ({
    measures: { holdSeconds: 2, holdCause: change.holdCause ?? 'completed' },
    events: [{ type: 'end', timeSeconds: change.endSeconds ?? 3 }],
  }) as unknown as TakeAnalysis;

/** A visit in hand: what is said to it, what it wants done. */
function visit(from: VisitState = FIRST_STATE) {
  let state = from;
  let ids = 0;
  const said: string[] = [];
  let effects: readonly VisitEffect[] = [];
  const moment = (nowSeconds: number): Moment => ({
    nowSeconds,
    wallSeconds: nowSeconds,
    dateMs: 1e12,
    takeId: `take ${++ids}`,
    roundId: `round ${ids}`,
  });
  const self = {
    get state() {
      return state;
    },
    get effects() {
      return effects;
    },
    get takeId() {
      return state.take?.id ?? 'none';
    },
    does: (what: VisitEffect['do']) => effects.find((effect) => effect.do === what),
    say(event: VisitEvent, nowSeconds = 10) {
      [state, effects] = step(state, event, moment(nowSeconds));
      said.push(event.type);
      return self;
    },
    /** What the worker and the desk would say when all goes well. */
    open: () => self.say({ type: 'opened', openingId: state.opening?.id ?? 0 }),
    render: (nowSeconds = 10) => self.say({ type: 'rendered', takeId: self.takeId }, nowSeconds),
    tone: (startSeconds = 20, beatZeroSeconds = 20.6) =>
      self.say({ type: 'takeBegun', takeId: self.takeId, startSeconds, beatZeroSeconds }),
    end(analysis = heard(), nowSeconds = 25) {
      const { takeId } = self;
      self.say({ type: 'takeOver', takeId }, nowSeconds);
      return self.say({ type: 'takeEnded', takeId, analysis }, nowSeconds);
    },
  };
  return self;
}

const armed = (exercise: Exercise, setup = setupOf()) =>
  visit().say({ type: 'arm', setup, exercise, address: '/stand' }).open();
const microphone = (change: Partial<SettingsRecord> = {}) => setupOf({ source: 'microphone', ...change });

it('is printed in ARCHITECTURE.md as it is', () => {
  const page = readFileSync(join(import.meta.dirname, '../../../ARCHITECTURE.md'), 'utf8');
  expect(page).toContain(diagram(RULES));
});

it('gives one rule to a phase and an event', () => {
  const keys = RULES.flatMap(({ from, on }) => from.map((phase) => `${phase} ${on}`));
  expect(new Set(keys).size).toBe(keys.length);
});

it('opens an input once, whatever room follows, and enters what is wanted then', () => {
  const open = visit();
  open.say({ type: 'goFree', setup: microphone() });
  expect(open.does('open')).toMatchObject({ input: 'microphone', openingId: 1 });
  open.say({ type: 'arm', setup: microphone(), exercise: SWELL, address: null });
  expect(open.does('open')).toBeUndefined();
  open.say({ type: 'opened', openingId: 1 });
  expect(open.state.phase).toBe('armed');
  expect(open.does('arm')).toMatchObject({ takeId: open.takeId, afterSilence: false });
  // The simulated player takes its place: what is then said of the microphone is no news.
  const other = open.say({ type: 'arm', setup: setupOf(), exercise: SWELL, address: null });
  expect(other.does('open')).toMatchObject({ input: 'standIn', openingId: 2 });
  // The next input may have no way to the room, so a drone is stilled before it.
  const order = other.effects.map((effect) => effect.do);
  expect(order.indexOf('stopDrone')).toBeGreaterThanOrEqual(0);
  expect(order.indexOf('stopDrone')).toBeLessThan(order.indexOf('open'));
  const before = other.state;
  expect(other.say({ type: 'notOpened', openingId: 1, trouble: 'micBusy' }).state).toBe(before);
  expect(other.open().state.phase).toBe('armed');
});

it('opens the quick desk where the simulated player is to be quick', () => {
  const quick = visit().say({ type: 'goFree', setup: setupOf({ pace: 'quick' }) });
  expect(quick.does('open')).toMatchObject({ input: 'quick' });
  expect(quick.open().does('performFree')).toBeDefined();
});

it('waits for the simulated sound before it counts, and counts a bar', () => {
  const round = armed(COUNTED).say({ type: 'begin' });
  expect(round.does('render')).toMatchObject({ takeId: round.takeId, seed: 1 });
  expect(round.state.phase).toBe('armed');
  // Said again meanwhile, it is not rendered twice.
  expect(round.say({ type: 'begin' }).does('render')).toBeUndefined();
  round.render(12);
  expect(round.state.phase).toBe('counting');
  const bar = (COUNTED.beatsPerBar * 60) / 200;
  const { responseMs } = PROFILES.goodDay;
  const zero = Math.ceil(100 * (12.15 + Math.max(bar, 1 + responseMs / 1000)) - 1e-6) / 100;
  expect(round.does('beginAt')).toEqual({ do: 'beginAt', beatZeroSeconds: zero, leadSeconds: 0.3 });
  expect(round.does('perform')).toMatchObject({ atSeconds: zero - 1 - responseMs / 1000 });
  expect(round.does('startBeat')).toMatchObject({ zeroSeconds: zero - bar });
});

it('a note begins what is armed, and the beat joins it a round trip early', () => {
  const play = armed(SWELL, microphone({ click: 'heard' })).tone(20, 20.6);
  expect(play.state.phase).toBe('playing');
  expect(play.does('startBeat')).toMatchObject({ zeroSeconds: 20.55, unlessRunning: false });
  play.end();
  expect(viewOf(play.state)).toMatchObject({
    phase: 'resting',
    takeId: 'take 2',
    round: { index: 0, restUntil: null },
  });
  // The next tone begins another, once this one is silent.
  expect(play.does('arm')).toMatchObject({ takeId: play.takeId, afterSilence: true });
  expect(play.takeId).not.toBe('take 2');
  expect(play.tone().state.phase).toBe('playing');
});

it('a skipped phrase says nothing to the next one, however late it is told', () => {
  const round = armed(COUNTED).say({ type: 'begin' }).render();
  const left = round.takeId;
  round.say({ type: 'skip' }).render();
  expect(viewOf(round.state)).toMatchObject({ phase: 'counting', round: { index: 1 } });
  const before = round.state;
  for (const late of [
    { type: 'nothingHeard', takeId: left },
    { type: 'takeBegun', takeId: left, startSeconds: 1, beatZeroSeconds: 1 },
    { type: 'takeOver', takeId: left },
    { type: 'takeEnded', takeId: left, analysis: heard() },
    { type: 'rendered', takeId: left },
    { type: 'performed', takeId: left },
    { type: 'restOver', takeId: left },
  ] as const) {
    expect(round.say(late).state).toBe(before);
    expect(round.effects).toEqual([]);
  }
});

it('rests on the bars of the phrase before and goes on by itself; the player may be earlier', () => {
  const round = armed(COUNTED)
    .say({ type: 'begin' })
    .render()
    .tone(20, 21)
    .end(heard({ endSeconds: 3 }), 24.5);
  const { restUntil } = round.state;
  const bar = (COUNTED.beatsPerBar * 60) / 200;
  const bars = ((restUntil ?? 0) - (21 - 0.05)) / bar;
  expect(bars).toBeCloseTo(Math.round(bars), 6);
  expect(restUntil).toBeGreaterThanOrEqual(24.5 + bar + 0.4);
  expect(restUntil).toBeLessThan(24.5 + 2 * bar + 0.4 + 6 * 0.3);
  expect(viewOf(round.state).round).toMatchObject({ index: 0, count: 4, over: false, restUntil });
  expect(round.does('restUntil')).toMatchObject({ atSeconds: (restUntil ?? 0) - bar - 0.4 });
  expect(round.does('storeRound')).toBeDefined();
  round.render(24.6).say({ type: 'restOver', takeId: round.takeId }, (restUntil ?? 0) - bar - 0.4);
  expect(viewOf(round.state)).toMatchObject({ phase: 'counting', round: { index: 1, restUntil: null } });
  expect(round.does('beginAt')).toMatchObject({ leadSeconds: 0.3 });

  const early = armed(PLAYED, microphone()).tone().end();
  expect(viewOf(early.state).round).toMatchObject({ index: 0 });
  expect(viewOf(early.tone().state)).toMatchObject({
    phase: 'playing',
    round: { index: 1, restUntil: null },
  });
});

it('ends after its last phrase, and what is played then is that phrase again', () => {
  const round = armed(PLAYED, microphone());
  for (let phrase = 0; phrase < 4; phrase++) {
    expect(viewOf(round.state).round).toMatchObject({ over: false });
    round.tone().end();
  }
  expect(viewOf(round.state)).toMatchObject({
    phase: 'resting',
    round: { index: 3, over: true, restUntil: null },
  });
  expect(round.does('restUntil')).toBeUndefined();
  expect(viewOf(round.tone().state).round).toMatchObject({ index: 3, over: false });
  expect(viewOf(round.end().state).round).toMatchObject({ index: 3, over: true });
});

it('tries a phrase that breaks three times where faults stop it, then moves on', () => {
  const round = armed({ ...PLAYED, onFault: 'stop' }, microphone());
  const shown: number[] = [];
  for (let tries = 0; tries < 4; tries++) {
    round.tone();
    shown.push(viewOf(round.state).round.index);
    round.end(heard({ holdCause: tries < 3 ? 'pitch' : 'completed' }));
  }
  expect(shown).toEqual([0, 0, 0, 1]);
  expect(viewOf(round.tone().state).round.index).toBe(2);
});

it('waits for the player where the exercise does, and nothing is armed meanwhile', () => {
  const round = armed(WAITS, microphone()).tone().end();
  expect(viewOf(round.state)).toMatchObject({ phase: 'paused', round: { index: 1, paused: true } });
  expect(round.does('disarm')).toBeDefined();
  expect(round.state.take).toBeNull();
  round.say({ type: 'begin' });
  expect(round.does('arm')).toMatchObject({ takeId: round.takeId });
});

it('pauses in any place, keeps what sounded, and takes the phrase up again', () => {
  const at = {
    counting: () => armed(COUNTED).say({ type: 'begin' }).render(),
    playing: () => armed(COUNTED).say({ type: 'begin' }).render().tone(),
    resting: () => armed(COUNTED).say({ type: 'begin' }).render().tone().end(),
  };
  for (const [phase, make] of Object.entries(at)) {
    const round = make().say({ type: 'pause' });
    expect(round.state.phase, phase).toBe('paused');
    for (const what of ['disarm', 'hush', 'stopBeat'] as const) expect(round.does(what), phase).toBeDefined();
    const index = phase === 'resting' ? 1 : 0;
    expect(viewOf(round.state).round, phase).toMatchObject({ index, paused: true, restUntil: null });
    round.say({ type: 'begin' }).render();
    expect(viewOf(round.state), phase).toMatchObject({ phase: 'counting', round: { index, paused: false } });
  }
  // Once more is the phrase whose verdict was up, not the one that was to come.
  const again = at.resting().say({ type: 'pause' }).say({ type: 'again' }).render();
  expect(viewOf(again.state)).toMatchObject({ phase: 'counting', round: { index: 0 } });
});

it('skips from a verdict to the phrase that is up already, and stays at the last', () => {
  const round = armed(PLAYED, microphone()).tone().end().say({ type: 'skip' });
  expect(viewOf(round.state)).toMatchObject({ phase: 'armed', round: { index: 1 } });
  for (let i = 0; i < 5; i++) round.say({ type: 'skip' });
  expect(viewOf(round.state).round.index).toBe(3);
});

it('skips all that is left of a share of the time, gives a sign between two shares, and none within one', () => {
  const shared = drill('threeZones', { notes: '60.71', minutes: 1, beats: 8 });
  const round = armed(shared, microphone()).tone(100).end(heard(), 110);
  expect(round.does('cue')).toBeUndefined();
  expect(viewOf(round.state).round.index).toBe(0);
  expect(round.state.wants).toMatchObject({ index: 1 });
  round.tone(120).end(heard(), 131);
  expect(round.does('cue')).toBeDefined();
  expect(round.state.wants).toMatchObject({ index: 40, sinceSeconds: null });
  round.say({ type: 'skip' });
  // Of the last one nothing is left to go on to.
  expect(round.state.wants).toMatchObject({ index: 79 });
  const other = armed(shared, microphone()).say({ type: 'skip' });
  expect(other.state.wants).toMatchObject({ index: 40 });
});

it('says that nothing was heard, and is ready again', () => {
  const round = armed(COUNTED).say({ type: 'begin' }).render();
  const before = round.takeId;
  round.say({ type: 'nothingHeard', takeId: before });
  expect(round.state.phase).toBe('armed');
  expect(round.takeId).not.toBe(before);
  expect(round.does('tell')).toMatchObject({ trouble: 'nothingHeard' });
  expect(round.say({ type: 'begin' }).render().state.phase).toBe('counting');
  // A simulated performance that no take came of may be asked for again.
  const played = armed(PLAYED).say({ type: 'begin' }).render();
  expect(played.does('perform')).toMatchObject({ takeId: played.takeId });
  expect(played.say({ type: 'begin' }).effects).toEqual([]);
  played.say({ type: 'performed', takeId: played.takeId });
  expect(played.does('tell')).toMatchObject({ trouble: 'nothingHeard' });
  expect(played.say({ type: 'begin' }).does('render')).toMatchObject({ seed: 2 });
});

it('a lost microphone ends and keeps the take, and whatever there is now listens on in the same phrase', () => {
  const round = armed(PLAYED, microphone()).tone().end().tone();
  round.say({ type: 'inputLost' });
  expect(round.state.phase).toBe('opening');
  expect(round.effects.map((effect) => effect.do)).toEqual(expect.arrayContaining(['endTake', 'open']));
  const another = round.open();
  expect(another.does('tell')).toMatchObject({ trouble: 'micChanged' });
  expect(viewOf(another.state)).toMatchObject({ phase: 'armed', round: { index: 1 } });
  another.say({ type: 'inputLost' });
  const { id = 0 } = another.state.opening ?? {};
  another.say({ type: 'notOpened', openingId: id, trouble: 'micAbsent' });
  expect(another.effects).toEqual([{ do: 'tell', trouble: 'micUnplugged' }]);
  expect(another.state.phase).toBe('off');
  expect(viewOf(another.say({ type: 'begin' }).open().state)).toMatchObject({
    phase: 'armed',
    round: { index: 1 },
  });
  // Nobody listens: nothing is opened.
  const left = armed(SWELL, microphone()).say({ type: 'leave' }).say({ type: 'inputLost' });
  expect(left.does('open')).toBeUndefined();
});

it('replaces a worker that broke, three times in a minute, and goes on where it was', () => {
  const round = armed(PLAYED, microphone()).tone().end().tone();
  for (let n = 0; n < 3; n++) {
    round.say({ type: 'workerBroke', worker: n }, 100 + n);
    expect(round.effects.map((effect) => effect.do)).toEqual(
      expect.arrayContaining(['replaceWorker', 'finishTakes', 'open']),
    );
    // What the one that was replaced still says is no news.
    const { state } = round;
    expect(round.say({ type: 'workerBroke', worker: n }, 100 + n).state).toBe(state);
    expect(viewOf(round.open().state)).toMatchObject({ phase: 'armed', round: { index: 1 } });
  }
  round.say({ type: 'workerBroke', worker: 3 }, 104);
  expect(round.state.phase).toBe('broken');
  expect(round.does('tell')).toMatchObject({ trouble: 'workerFailed' });
  // The player may try all the same; a minute later it is three times again.
  expect(round.say({ type: 'begin' }, 105).open().state.phase).toBe('armed');
  expect(round.say({ type: 'workerBroke', worker: 4 }, 170).state.phase).toBe('opening');
});

/** When the beat goes on by itself: by how a phrase begins, and whether the metronome is on. */
const TEMPOED = { playToStart: PLAYED, ownTime: { ...PLAYED, start: 'ownTime' }, countIn: COUNTED } as const;
it.each([
  ['playToStart', 'heard', true, true],
  ['playToStart', 'off', false, false],
  ['ownTime', 'heard', false, false],
  ['ownTime', 'off', false, false],
  // Its count begins the beat, with the metronome or without.
  ['countIn', 'heard', false, true],
  ['countIn', 'off', false, true],
] as const)(
  'begins the beat of %s with the metronome %s: on entering %s, on beginning %s',
  (start, click, enters, begins) => {
    const round = armed(TEMPOED[start], microphone({ click }));
    expect(round.does('startBeat') !== undefined).toBe(enters);
    // A beat that goes on from the phrase before is left as it goes.
    if (enters) expect(round.does('startBeat')).toMatchObject({ zeroSeconds: 10.1, unlessRunning: true });
    round.say({ type: 'begin' }, 12);
    expect(round.does('startBeat') !== undefined).toBe(begins);
    if (start === 'playToStart' && begins) {
      expect(round.does('startBeat')).toMatchObject({ zeroSeconds: 12.1, unlessRunning: false });
      expect(round.does('beginAt')).toBeUndefined();
    }
    expect(round.does('tellNoLonger')).toMatchObject({ troubles: SOUND_TROUBLES });
    // What is played is heard: nobody plays for the player.
    expect(round.does('perform')).toBeUndefined();
  },
);

it.each(['heard', 'off'] as const)(
  'begins the free desk with its drone, and its beat where that is on: %s',
  (click) => {
    const free = visit()
      .say({ type: 'goFree', setup: microphone({ click }) })
      .open();
    expect(free.effects.map((effect) => effect.do)).toEqual([
      'disarm',
      ...(click === 'off' ? [] : ['startBeat']),
      'drone',
    ]);
    if (click === 'heard')
      expect(free.does('startBeat')).toMatchObject({ exercise: null, zeroSeconds: 10.1 });
  },
);

it('stops and stills what was there before another room is entered', () => {
  const play = armed(SWELL, microphone()).tone();
  play.say({ type: 'arm', setup: microphone(), exercise: PLAYED, address: '/stand' });
  expect(play.effects.map((effect) => effect.do).slice(0, 2)).toEqual(['hush', 'stopBeat']);
  expect(play.does('open')).toBeUndefined();
  expect(play.does('arm')).toMatchObject({ takeId: play.takeId, afterSilence: false });
  expect(play.does('drone')).toMatchObject({ exercise: expect.objectContaining({ start: 'playToStart' }) });
});

it('tells of an input that does not open what is news', () => {
  const told = (lost: boolean, trouble: 'micAbsent' | 'micBusy' | 'micRefused') => {
    const play = lost
      ? armed(PLAYED, microphone()).say({ type: 'inputLost' })
      : visit().say({ type: 'arm', setup: microphone(), exercise: PLAYED, address: null });
    const openingId = play.state.opening?.id ?? 0;
    play.say({ type: 'notOpened', openingId, trouble });
    expect(play.state).toMatchObject({ phase: 'off', input: null, opening: null });
    return play.effects.map((effect) => (effect.do === 'tell' ? effect.trouble : effect.do));
  };
  expect(told(false, 'micAbsent')).toEqual(['micAbsent']);
  expect(told(false, 'micBusy')).toEqual(['micBusy']);
  expect(told(true, 'micAbsent')).toEqual(['micUnplugged']);
  expect(told(true, 'micBusy')).toEqual(['micUnplugged']);
  expect(told(true, 'micRefused')).toEqual(['micRefused', 'micUnplugged']);
  // Nobody waits for it any more: nothing is said.
  const left = visit().say({ type: 'goFree', setup: microphone() });
  const openingId = left.state.opening?.id ?? 0;
  left.say({ type: 'leave' });
  expect(left.say({ type: 'notOpened', openingId, trouble: 'micBusy' }).effects).toEqual([]);
});

it('says nothing of another microphone where none was lost, and nothing at all to a room that was left', () => {
  const play = visit().say({ type: 'goFree', setup: microphone() }).open();
  expect(play.does('tell')).toBeUndefined();
  const left = visit().say({ type: 'goFree', setup: microphone() });
  const openingId = left.state.opening?.id ?? 0;
  left.say({ type: 'leave' }).say({ type: 'opened', openingId });
  expect(left.state).toMatchObject({ phase: 'off', input: 'microphone' });
  expect(left.effects).toEqual([]);
});

it('rests from where the tone ended, as long as is written, whenever its verdict came', () => {
  const rested = (endSeconds: number, nowSeconds: number) =>
    armed(PLAYED, microphone()).tone(20, 20.6).end(heard({ endSeconds }), nowSeconds).state.restUntil ?? 0;
  const usual = rested(3, 23.1);
  expect(usual).toBeGreaterThan(23.1);
  expect(rested(3, 23.4)).toBeCloseTo(usual, 6);
  expect(rested(3.2, 23.4)).toBeCloseTo(usual + 0.2, 6);
  // A verdict that came after the rest was over: on from now.
  expect(rested(3, usual + 5)).toBe(usual + 5);
});

it('takes one swell after the other without a round: none rests, none is stored', () => {
  const play = visit().say({ type: 'arm', setup: microphone(), exercise: SWELL, address: null }).open();
  play.tone().end();
  expect(play.effects.map((effect) => effect.do)).toEqual(['stopBeat', 'hush', 'arm']);
  expect(viewOf(play.state)).toMatchObject({ phase: 'resting', round: { id: null, index: 0 } });
  expect(play.state.wants).toMatchObject({ ended: 0 });
  expect(viewOf(play.tone().state).phase).toBe('playing');
  expect(play.state.wants).toMatchObject({ ended: null });
});

it('a room that is left keeps the input open, and hears nothing of what was going on', () => {
  const round = armed(COUNTED).say({ type: 'begin' }).render().tone();
  const { takeId } = round;
  round.say({ type: 'leave' });
  expect(round.effects.map((effect) => effect.do)).toEqual(['hush', 'stopBeat', 'stopDrone', 'disarm']);
  const { state } = round;
  expect(round.say({ type: 'takeEnded', takeId, analysis: heard() }).state).toBe(state);
  round.say({ type: 'goFree', setup: setupOf() });
  expect(round.state.phase).toBe('free');
  expect(round.does('open')).toBeUndefined();
});

it('settings change what stands, and the worker hears of those that matter to a take', () => {
  const round = armed(PLAYED, microphone());
  round.say({ type: 'adjust', setup: microphone({ eyes: 'blind', tempoBpm: 90, subdivision: 3 }) });
  expect(round.effects.map((effect) => effect.do)).toEqual(['setMetre', 'drone', 'adjust']);
  // The tempo of a free desk has no business here.
  expect(round.state.setup?.settings).toMatchObject({ eyes: 'blind', subdivision: 3, tempoBpm: 60 });
  expect(round.say({ type: 'droneHeard' }).does('adjust')).toBeDefined();
  expect(round.say({ type: 'setClick', click: 'off' }).does('setClick')).toMatchObject({
    exercise: { family: 'breakDrill' },
  });
  const free = visit().say({ type: 'goFree', setup: microphone() }).open();
  expect(free.say({ type: 'setTempo', tempoBpm: 90 }).does('setTempo')).toMatchObject({ exercise: null });
  expect(free.state.setup?.settings.tempoBpm).toBe(90);
  expect(free.say({ type: 'droneHeard' }).effects).toEqual([]);
});

// Whatever is said in whatever order.

interface Talk {
  /** Whatever there is to say; else what belongs to the phase, so that a walk goes deep. */
  wild: boolean;
  late: boolean;
  pick: number;
}

const talk: fc.Arbitrary<Talk[]> = fc.array(
  fc.record({
    wild: fc.integer({ min: 0, max: 4 }).map((n) => n === 0),
    late: fc.integer({ min: 0, max: 4 }).map((n) => n === 0),
    pick: fc.nat({ max: 10_000 }),
  }),
  { maxLength: 60, size: 'max' },
);

const KINDS = [...new Set(RULES.map(({ on }) => on))];
const OWN_KINDS = Object.fromEntries(
  VISIT_PHASES.map((phase) => [
    phase,
    RULES.filter(({ from }) => from.length < VISIT_PHASES.length && from.includes(phase)).map(({ on }) => on),
  ]),
) as Record<VisitPhase, VisitEvent['type'][]>;

function kindOf({ wild, pick }: Talk, { phase, wants }: VisitState): VisitEvent['type'] {
  if (!wild && wants === null) return 'arm';
  const kinds = wild || OWN_KINDS[phase].length === 0 ? KINDS : OWN_KINDS[phase];
  return kinds[pick % kinds.length];
}

/** An event of that kind, as it might come now: of what is present, or, late, of something that was left. */
function eventOf(said: Talk, state: VisitState, takes: readonly string[]): VisitEvent {
  const { late, pick } = said;
  const kind = kindOf(said, state);
  const takeId = late ? (takes[pick % Math.max(1, takes.length)] ?? 'never') : (state.take?.id ?? 'none');
  const openingId = late ? pick % 5 : (state.opening?.id ?? 0);
  const setup = [setupOf(), setupOf({ pace: 'quick' }), microphone(), microphone({ click: 'off' })][
    (pick >> 3) % 4
  ];
  const exercise = [COUNTED, PLAYED, WAITS, SWELL][(pick >> 5) % 4];
  switch (kind) {
    case 'goFree':
    case 'adjust':
      return { type: kind, setup };
    case 'arm':
      return { type: kind, setup, exercise, address: '/stand' };
    case 'setClick':
      return { type: kind, click: pick % 2 ? 'off' : 'both' };
    case 'setTempo':
      return { type: kind, tempoBpm: 40 + pick };
    case 'opened':
      return { type: kind, openingId };
    case 'notOpened':
      return { type: kind, openingId, trouble: pick % 2 ? 'micAbsent' : 'micRefused' };
    case 'takeBegun':
      return { type: kind, takeId, startSeconds: 20, beatZeroSeconds: 21 };
    case 'takeEnded':
      return { type: kind, takeId, analysis: heard({ holdCause: (pick >> 3) % 3 ? 'completed' : 'pitch' }) };
    case 'rendered':
    case 'performed':
    case 'restOver':
    case 'takeOver':
    case 'nothingHeard':
      return { type: kind, takeId };
    case 'workerBroke':
      return { type: kind, worker: late ? pick % 3 : state.worker };
    default:
      return { type: kind };
  }
}

const HAS_TAKE: readonly VisitPhase[] = ['armed', 'counting', 'playing', 'judging', 'resting'];
/** What ends a running take in the worker, which then keeps it. */
const ENDS_TAKE: readonly VisitEffect['do'][] = ['arm', 'disarm', 'endTake', 'open', 'replaceWorker'];

function walk(
  talks: readonly Talk[],
  look: (before: VisitState, event: VisitEvent, here: ReturnType<typeof visit>) => void,
) {
  const here = visit();
  const takes: string[] = [];
  talks.forEach((each, n) => {
    const before = here.state;
    const event = eventOf(each, before, takes);
    here.say(event, n);
    for (const effect of here.effects) if (effect.do === 'arm') takes.push(effect.takeId);
    look(before, event, here);
  });
  return { here, takes };
}

it('goes only where its rules lead, and what no rule names changes nothing', () => {
  fc.assert(
    fc.property(talk, (talks) => {
      walk(talks, (before, event, { state, effects }) => {
        const rule = RULES.find(({ from, on }) => on === event.type && from.includes(before.phase));
        const isOther = 'takeId' in event && event.takeId !== before.take?.id;
        if (!rule || isOther) {
          expect(state).toBe(before);
          expect(effects).toEqual([]);
        } else if (state !== before) expect(rule.to).toContain(state.phase);
      });
    }),
    { numRuns: 400 },
  );
});

it('has a take where one is ready or played and nowhere else, and never arms one twice', () => {
  fc.assert(
    fc.property(talk, (talks) => {
      const { takes } = walk(talks, (_, __, { state, effects }) => {
        expect(state.take !== null).toBe(HAS_TAKE.includes(state.phase));
        expect(state.restUntil === null || state.phase === 'resting').toBe(true);
        const arming = effects.filter((effect) => effect.do === 'arm');
        if (arming.length > 0) expect(arming.map(({ takeId }) => takeId)).toEqual([state.take?.id]);
        const { round } = viewOf(state);
        expect(round.index).toBeLessThan(Math.max(1, round.count));
        for (const value of Object.values(round)) expect(value).not.toBeNaN();
      });
      expect(new Set(takes).size).toBe(takes.length);
    }),
    { numRuns: 400 },
  );
});

it('loses no take: one that is left while it sounds is ended in the worker, which keeps it', () => {
  fc.assert(
    fc.property(talk, (talks) => {
      walk(talks, (before, event, { state, effects }) => {
        const isLeft = before.phase === 'playing' && state.take?.id !== before.take?.id;
        if (!isLeft || event.type === 'takeEnded' || event.type === 'nothingHeard') return;
        expect(effects.some((effect) => ENDS_TAKE.includes(effect.do))).toBe(true);
      });
    }),
    { numRuns: 400 },
  );
});

it('ends in a state that can start again, whatever was said before', () => {
  const ends = new Set<VisitPhase>();
  fc.assert(
    fc.property(
      talk,
      fc.constantFrom(0, 0, 0, 4),
      fc.constantFrom(COUNTED, PLAYED, SWELL),
      (talks, breaks, exercise) => {
        const { here } = walk(talks, () => undefined);
        for (let n = 0; n < breaks; n++) here.say({ type: 'workerBroke', worker: here.state.worker }, 60);
        ends.add(here.state.phase);
        here.say({ type: 'arm', setup: setupOf(), exercise, address: '/stand' });
        if (here.state.phase === 'opening') here.open();
        expect(here.state.phase).toBe('armed');
        here.say({ type: 'begin' }).render();
        expect(here.does('perform')).toMatchObject({ takeId: here.takeId });
        here.tone().end();
        expect(here.state.phase).toBe('resting');
      },
    ),
    { numRuns: 600 },
  );
  // The walk itself has been everywhere.
  expect([...ends].toSorted()).toEqual([...VISIT_PHASES].toSorted());
});
