import { scoreOf, secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import { pitchTarget } from '@inner-hum/core/horn';
import { highHabits, movedHabits } from '@inner-hum/core/standin';
import type { Dispatch } from '@reduxjs/toolkit';
import type { AudioDesk, Drone, Metronome } from '../audio/index.ts';
import { gearOf } from '../storage/index.ts';
import type { SessionClient, StandInRequest } from '../workers/index.ts';
import type { Beat } from './beat.ts';
import type { SessionSetup } from './setup.ts';
import { phaseChanged, troublesWent } from './sessionSlice.ts';
import { SOUND_TROUBLES } from './troubleGroups.ts';

const COUNT_LEAD_SECONDS = 0.15;
/** Part of a counted take before beat 0: an early start must be seen. */
const TAKE_LEAD_BEATS = 1;
const STAND_IN_LEAD_SECONDS = 1;

/** What one take is to be: one phrase of an exercise, and the round it belongs to. */
export interface WantedTake {
  exercise: Exercise;
  roundId: string | null;
  phrase: number;
  /** Millimetres by which the mouthpiece was pulled out before it; 0 as a rule. */
  pulledMm: number;
}

interface TakeRunnerConfig {
  client: SessionClient;
  desk: AudioDesk;
  metronome: Metronome;
  beat: Beat;
  drone: Drone;
  dispatch: Dispatch;
  sampleRateHz(): number;
  droneLeakDb(): number | null;
}

/** Makes one take ready and begins it: by the note, or by a counted bar. */
export interface TakeRunner {
  arm(setup: SessionSetup, take: WantedTake): Promise<void>;
  /** Renders what the stand-in will play, so that it is never late. */
  prepare(setup: SessionSetup): void;
  /** Begins what is armed; a counted take with beat 0 at `zeroSeconds` of the audio clock, or as soon as a bar is counted. */
  begin(setup: SessionSetup, zeroSeconds?: number): Promise<void>;
  /** Nothing more begins by itself. */
  cancel(): void;
}

/** The stand-in as the set-up has it. */
export function standInOf(
  setup: SessionSetup,
  sampleRateHz: number,
): Omit<StandInRequest, 'exercise' | 'seed'> {
  const { hornId, a4Hz } = setup.settings;
  return { hornId, a4Hz, scale: setup.scale, profile: setup.profile, sampleRateHz };
}

/** What its horn does to high notes, and with another place of the mouthpiece; the steady one has no high notes of its own. */
function habitsOf(
  { settings: { hornId, a4Hz, profileId } }: SessionSetup,
  { exercise, pulledMm }: WantedTake,
  seed: number,
) {
  if (pulledMm !== 0) return movedHabits(exercise, hornId, a4Hz, pulledMm);
  return profileId === 'steady' ? [] : highHabits(exercise, hornId, a4Hz, seed);
}

export function createTakeRunner(config: TakeRunnerConfig): TakeRunner {
  const { client, desk, metronome, beat, drone, dispatch } = config;
  let wanted: WantedTake | null = null;
  let sound: Promise<Float32Array<ArrayBuffer>> | null = null;
  let seed = 1;

  function prepare(setup: SessionSetup) {
    sound =
      wanted && setup.settings.source === 'standIn'
        ? client.remote.renderStandIn({
            ...standInOf(setup, config.sampleRateHz()),
            exercise: wanted.exercise,
            faults: habitsOf(setup, wanted, seed),
            seed: seed++,
          })
        : null;
  }

  /** Reference tones of a counted take, on its beats. */
  function refer({ settings: { hornId, a4Hz } }: SessionSetup, exercise: Exercise, zero: number) {
    const beatSeconds = secondsPerBeat(exercise);
    for (const { item, startBeat, endBeat } of scoreOf(exercise))
      if (item.kind === 'hear')
        drone.refer(
          pitchTarget(item, hornId, a4Hz).targetHz,
          zero + startBeat * beatSeconds,
          zero + endBeat * beatSeconds,
        );
  }

  return {
    async arm(setup, take) {
      desk.stopStandIn();
      drone.hush();
      sound = null;
      wanted = take;
      const { hornId, a4Hz, toleranceId, subtoneWindow, source, eyes, click } = setup.settings;
      const { exercise, roundId, phrase } = take;
      await client.remote.arm({
        context: {
          exercise,
          hornId,
          a4Hz,
          scale: setup.scale,
          toleranceId,
          subtoneWindow,
          roomFloorDb: setup.roomFloorDb,
        },
        gear: gearOf(setup.settings),
        source,
        eyes,
        roundTripSeconds: setup.roundTripSeconds ?? desk.outputLatencySeconds(),
        roundId,
        phrase,
        droneLeakDb: config.droneLeakDb(),
      });
      if (exercise.start === 'playToStart' && click !== 'off' && !metronome.pulse)
        beat.start(setup.settings, exercise, desk.now() + 0.1);
    },
    prepare,
    async begin(setup, zeroSeconds) {
      const take = wanted;
      if (!take) return;
      const { exercise } = take;
      dispatch(troublesWent(SOUND_TROUBLES));
      if (!sound) prepare(setup);
      const samples = await sound;
      sound = null;
      if (wanted !== take) return;
      if (exercise.start === 'playToStart') {
        dispatch(phaseChanged('armed'));
        if (setup.settings.click !== 'off') beat.start(setup.settings, exercise, desk.now() + 0.1);
        if (samples) desk.playStandIn(samples, config.sampleRateHz(), desk.now(), false);
        return;
      }
      const beatSeconds = secondsPerBeat(exercise);
      const lead = samples ? STAND_IN_LEAD_SECONDS + setup.profile.responseMs / 1000 : 0;
      const countSeconds = exercise.beatsPerBar * beatSeconds;
      const soonest = desk.now() + COUNT_LEAD_SECONDS + Math.max(countSeconds, lead);
      // A bar that can no longer be counted in time is counted one bar later.
      const late = Math.max(0, Math.ceil((soonest - (zeroSeconds ?? soonest) - 1e-6) / countSeconds));
      const beatZero = (zeroSeconds ?? soonest) + late * countSeconds;
      beat.start(setup.settings, exercise, beatZero - countSeconds);
      dispatch(phaseChanged('counting'));
      await client.remote.beginAt(beatZero, TAKE_LEAD_BEATS * beatSeconds);
      if (wanted !== take) return;
      refer(setup, exercise, beatZero);
      if (samples) desk.playStandIn(samples, config.sampleRateHz(), beatZero - lead, false);
    },
    cancel() {
      wanted = null;
      sound = null;
      desk.stopStandIn();
      drone.hush();
    },
  };
}
