import { FRAME_SECONDS, FrameTrack } from '@inner-hum/core/hearing';
import { measureSteadyTone } from '@inner-hum/core/judge';
import { median } from '@inner-hum/core/stats';
import { type LiveSound, type SessionController } from '../../session/index.ts';

const ROOM_SECONDS = 3;
const SILENCE_FRAMES = Math.round(0.6 / FRAME_SECONDS);
const LOOK_SECONDS = 0.15;
const CLICKS = 8;
const CLICK_EVERY_SECONDS = 0.45;

type Desk = Pick<SessionController['desk'], 'after'>;

function pause(desk: Desk, seconds: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const noLonger = desk.after(seconds, resolve);
    signal.addEventListener('abort', () => {
      noLonger();
      resolve();
    });
  });
}

/** Median level of three quiet seconds; null where no sound arrives at all. */
export async function measureRoom(live: LiveSound, desk: Desk, signal: AbortSignal): Promise<number | null> {
  const from = live.track.count;
  await pause(desk, ROOM_SECONDS, signal);
  return median(live.track.slice(from).levelDb);
}

/** Waits for one held note and its end; its level. Null where it was broken off. */
export async function measureLoudness(
  live: LiveSound,
  desk: Desk,
  roomFloorDb: number | null,
  signal: AbortSignal,
): Promise<number | null> {
  const from = live.track.count;
  while (!signal.aborted) {
    await pause(desk, LOOK_SECONDS, signal);
    const heard = FrameTrack.from(live.track.slice(from));
    const tone = measureSteadyTone(heard, roomFloorDb);
    const end = heard.columns.f0Hz.subarray(Math.max(0, heard.count - SILENCE_FRAMES));
    const quiet = end.filter(Number.isNaN).length > 0.8 * end.length;
    if (tone && quiet) return tone.levelDb;
  }
  return null;
}

/** Plays clicks and finds them in the microphone: how long sound takes out and in. Null where they are not heard. */
export async function measureRoundTrip(
  session: SessionController,
  signal: AbortSignal,
): Promise<number | null> {
  const zeroSeconds = session.desk.now() + 0.4;
  session.metronome.setHeard(true);
  session.metronome.start({
    zeroSeconds,
    secondsPerBeat: CLICK_EVERY_SECONDS,
    subdivision: 1,
    accent: true,
    silentBars: null,
    beatsPerBar: 1,
  });
  await pause(session.desk, 0.4 + CLICKS * CLICK_EVERY_SECONDS, signal);
  session.metronome.stop();
  await pause(session.desk, 0.6, signal);
  if (signal.aborted) return null;
  const due = Array.from({ length: CLICKS }, (_, i) => zeroSeconds + i * CLICK_EVERY_SECONDS);
  const delays = await session.clickDelays(due);
  return delays.length >= CLICKS / 2 ? median(delays) : null;
}
