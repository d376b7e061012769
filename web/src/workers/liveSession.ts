import { FRAME_SECONDS, type FrameColumns } from '@inner-hum/core/hearing';
import { markFraction, levelAtFraction } from '@inner-hum/core/exercise';
import { firstFault } from '@inner-hum/core/judge';
import { roundToSteps } from '@inner-hum/core/signal';
import { createSoundWatch, createTakeGate, type LiveFollower, type TakeGate } from '@inner-hum/core/tone';
import { floorOf, takeContext, withDrone } from './armedTake.ts';
import { HeardSegment } from './heardSegment.ts';
import type { ArmChange, ArmRequest, CapturedBlock, SessionEvent } from './protocol.ts';
import { startTake, type RunningTake } from './runningTake.ts';
import { SoundHistory } from './soundHistory.ts';
import { takeLimits } from './takeLimits.ts';

/** Shorter holes happen whenever sources are connected and harm nothing. */
const LOST_SECONDS = 0.03;
/** How often a take that ends where it breaks is asked whether it has. */
const FAULT_EVERY_FRAMES = 25;

/** A take goes on so much longer than the frame that ended it: by then that frame was told, however the sound was cut. */
const TAIL_SECONDS = 0.16;
/** Before a note that follows a take there must have been so much silence: it may lie in the end of that take. */
const LOOK_BACK_FRAMES = 40;

export interface LiveSession {
  push(block: CapturedBlock): void;
  /** Comes when all that was pushed so far is stored, and a take that is over judged. */
  settled(): Promise<void>;
  arm(request: ArmRequest): void;
  /** Changes what the next take is armed with; a running take that is watched for a moment is no blind one. */
  adjust(change: ArmChange): void;
  disarm(): Promise<void>;
  beginAt(beatZeroSeconds: number, leadSeconds: number): void;
  endTake(): Promise<void>;
  noteClicks(times: number[]): void;
  /** The newest samples, at most `seconds` of them, with the audio-clock time of the first. */
  newest(seconds: number): { samples: Float32Array<ArrayBuffer>; startSeconds: number; sampleRateHz: number };
  /** The newest sound of this row of frames, cut at a frame, with the frames it was heard as. */
  newestFrames(seconds: number): {
    samples: Float32Array<ArrayBuffer>;
    columns: FrameColumns;
    sampleRateHz: number;
  };
}

/**
 * Listens to one running input. Frames go out as they are heard; while armed, a tone (or the counted beat)
 * begins a take, once: a fresh listener hears it from its first sample on, so that the take's frames are the same
 * whenever its sound is heard again. Where a take begins and ends does not depend on how the sound was cut into blocks.
 */
export function createLiveSession(sampleRateHz: number, send: (event: SessionEvent) => void): LiveSession {
  const history = new SoundHistory(sampleRateHz);
  let heard = new HeardSegment(0, sampleRateHz);
  let armed: ArmRequest | null = null;
  let gate: TakeGate | null = null;
  /** In the player's own time: where in the running take the player is. */
  let follower: LiveFollower | null = null;
  let watch = createSoundWatch(-45);
  let take: RunningTake | null = null;
  let ending: Promise<void> = Promise.resolve();
  let countedStart: { sample: number; beatZeroSeconds: number } | null = null;
  let dueClicks: number[] = [];
  let begun = false;
  let leakDb: number | null = null;
  /** The frame of this segment from which on the next take's note is looked for. */
  let freeFrom = 0;

  const limitsOf = ({ context: { exercise, hornId, a4Hz } }: ArmRequest) =>
    takeLimits(exercise, hornId, a4Hz);
  const newGate = (request: ArmRequest, { afterSilence }: Pick<ArmRequest, 'afterSilence'> = request) => {
    const limits = limitsOf(request);
    follower = limits.follower;
    return createTakeGate({ ...limits, roomFloorDb: floorOf(request, leakDb), afterSilence });
  };

  function newSegment(startSample: number, takeId: string | null, beatZeroSeconds: number | null) {
    heard = new HeardSegment(startSample, sampleRateHz);
    freeFrom = 0;
    send({ type: 'segment', startSeconds: startSample / sampleRateHz, takeId, beatZeroSeconds });
  }

  function beginTake(request: ArmRequest, startSample: number, liveBeatZero: number, counted: boolean) {
    const { takeId } = request;
    armed = null;
    const context = takeContext(request, leakDb, heard.track, counted ? liveBeatZero : null);
    const agoSeconds = (history.end - startSample) / sampleRateHz;
    take = startTake(request, context, { sampleRateHz, startSample, agoSeconds }, send);
    for (const time of dueClicks) take.noteDueClick(time);
    newSegment(startSample, takeId, liveBeatZero);
    gate = newGate(request, { afterSilence: false });
    gate.open(Math.round(Math.max(0, liveBeatZero) / FRAME_SECONDS));
    const early = history.since(startSample);
    take.append(early);
    heard.push(early, startSample);
  }

  /** Ends the running take; frames go on as they are. */
  function finishTake() {
    const ended = take;
    if (!ended) return;
    take = null;
    gate = null;
    freeFrom = Math.max(0, heard.track.count - LOOK_BACK_FRAMES);
    tellFrames();
    send({ type: 'takeOver', takeId: ended.takeId });
    ending = ended.finish(heard.track);
  }

  function tellFrames() {
    const columns = heard.takeNewFrames();
    if (columns) send({ type: 'frames', columns });
  }

  function lookAtNewFrames() {
    const { track } = heard;
    for (let i = heard.sent; i < track.count; i++) {
      const trouble = watch.lookAtFrame(track, i);
      if (trouble) send({ type: 'trouble', trouble });
      if (take) follower?.look(track, i);
      const move = gate?.look(track, i) ?? null;
      if (move?.type === 'start' && begins(move.startFrame)) return;
      if (take && take.endSample === null && (move?.type === 'end' || breaksAt(i)))
        take.endSample =
          take.startSample + Math.round(((i + 1) * FRAME_SECONDS + TAIL_SECONDS) * sampleRateHz);
    }
    tellFrames();
  }

  /** The note that was waited for began at this frame; a whole number of frames before it the take begins. */
  function begins(onsetFrame: number): boolean {
    if (!armed || take) return false;
    const { preRollSeconds, firstNoteSeconds } = limitsOf(armed);
    const onset = heard.sampleOf(onsetFrame);
    const preRoll = Math.round(Math.round(preRollSeconds / FRAME_SECONDS) * FRAME_SECONDS * sampleRateHz);
    const start = Math.max(history.start, heard.startSample, onset - preRoll);
    tellFrames();
    beginTake(armed, start, (onset - start) / sampleRateHz - firstNoteSeconds, false);
    lookAtNewFrames();
    return true;
  }

  /** The next sound, in which nothing ends: to the recorder and the listener. */
  function hear(part: Float32Array<ArrayBuffer>) {
    const from = history.end;
    history.append(part);
    if (countedStart && armed && history.end > countedStart.sample) {
      const start = Math.max(history.start, countedStart.sample);
      const zero = Math.round((countedStart.beatZeroSeconds + armed.roundTripSeconds) * sampleRateHz);
      const beatZero = (zero - start) / sampleRateHz;
      countedStart = null;
      beginTake(armed, start, beatZero, true);
    } else {
      take?.append(part);
      heard.push(part, from);
    }
    lookAtNewFrames();
  }

  /** Whether a running take that is to end where it breaks has broken. */
  function breaksAt(frame: number): boolean {
    if (take?.context.exercise.onFault !== 'stop' || frame % FAULT_EVERY_FRAMES !== 0) return false;
    return firstFault(heard.track, take.context) !== null;
  }

  return {
    push({ startFrame, samples }) {
      if (!begun) {
        begun = true;
        history.begin(startFrame);
        // On a whole frame of the clock: a sound that begins on one gives the same frames whenever it is played.
        const hop = FRAME_SECONDS * sampleRateHz;
        newSegment(Math.round(Math.ceil(startFrame / hop) * hop), null, null);
      }
      const { block, lost } = history.filledUpTo(startFrame, samples);
      if (lost > LOST_SECONDS * sampleRateHz) send({ type: 'trouble', trouble: 'lostSound' });
      // What is heard is what is kept, bit for bit, and can be packed without loss.
      roundToSteps(block);
      const trouble = watch.lookAtSamples(block);
      if (trouble) send({ type: 'trouble', trouble });
      let rest = block;
      const end = take?.endSample ?? Infinity;
      if (history.end + rest.length >= end) {
        const count = Math.max(0, end - history.end);
        if (count > 0) hear(rest.subarray(0, count));
        finishTake();
        rest = rest.subarray(count);
      }
      if (rest.length > 0) hear(rest);
    },
    async settled() {
      await take?.written();
      await ending;
    },
    arm(request) {
      if (take) finishTake();
      leakDb = request.droneLeakDb;
      armed = withDrone(request, leakDb);
      countedStart = null;
      dueClicks = [];
      watch = createSoundWatch(levelAtFraction(markFraction('pp'), request.context.scale));
      gate = armed.context.exercise.start === 'countIn' ? null : newGate(armed);
      if (!gate || !request.afterSilence) return;
      // The next note may have come while the take before it was still being judged.
      for (let i = freeFrom; i < heard.sent; i++) {
        const move = gate.look(heard.track, i);
        if (move?.type === 'start' && begins(move.startFrame)) return;
      }
    },
    adjust({ eyes, scale, droneLeakDb }) {
      const isNews = leakDb !== droneLeakDb;
      leakDb = droneLeakDb;
      if (armed) armed = withDrone({ ...armed, eyes, context: { ...armed.context, scale } }, leakDb);
      if (armed && isNews && gate) gate = newGate(armed, { afterSilence: false });
      if (eyes === 'watch') take?.watched();
      if (leakDb !== null && leakDb < Infinity) take?.droneHeard();
    },
    beginAt(beatZeroSeconds, leadSeconds) {
      countedStart = {
        sample: Math.round((beatZeroSeconds - leadSeconds) * sampleRateHz),
        beatZeroSeconds,
      };
    },
    async disarm() {
      finishTake();
      armed = null;
      gate = null;
      countedStart = null;
      await ending;
    },
    async endTake() {
      finishTake();
      await ending;
    },
    noteClicks(times) {
      const oldest = history.end / sampleRateHz - 120;
      dueClicks = [...dueClicks.filter((time) => time > oldest), ...times];
      if (take) for (const time of times) take.noteDueClick(time);
    },
    newestFrames(seconds) {
      const wanted = history.end - Math.round(seconds * sampleRateHz);
      const firstFrame = heard.frameFrom(Math.max(history.start, heard.startSample, wanted));
      const samples = history.since(heard.sampleOf(firstFrame));
      return { samples, columns: heard.track.slice(firstFrame), sampleRateHz };
    },
    newest(seconds) {
      const start = Math.max(history.start, history.end - Math.round(seconds * sampleRateHz));
      return { samples: history.since(start), startSeconds: start / sampleRateHz, sampleRateHz };
    },
  };
}
