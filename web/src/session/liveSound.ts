import { writtenNotes, type Exercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import { TOLERANCES } from '@inner-hum/core/judge';
import { createLiveFollower, type LiveFollower } from '@inner-hum/core/tone';
import type { SessionEvent } from '../workers/index.ts';
import type { LiveSound } from './sessionTypes.ts';
import type { SessionSetup } from './setup.ts';

export const newLiveSound = (): LiveSound => ({
  track: new FrameTrack(),
  startSeconds: 0,
  takeId: null,
  beatZeroSeconds: null,
  takeFrames: null,
  follower: null,
});

/** Who follows a take in the player's own time; null for what is in time. */
export function createOwnTimeFollower(setup: SessionSetup, exercise: Exercise): LiveFollower | null {
  if (exercise.start !== 'ownTime') return null;
  const { hornId, a4Hz, toleranceId } = setup.settings;
  const notes = writtenNotes(exercise, hornId, a4Hz);
  return notes.length === 0 ? null : createLiveFollower(notes, TOLERANCES[toleranceId].pitchCents);
}

/** Lays what the worker hears under the painters' eyes. Sound of a take that was left belongs to none. */
export function followLive(
  live: LiveSound,
  event: SessionEvent,
  takeId: string | null,
  createFollower: () => LiveFollower | null,
): void {
  switch (event.type) {
    case 'segment': {
      const isOwn = event.takeId !== null && event.takeId === takeId;
      live.track = new FrameTrack();
      live.startSeconds = event.startSeconds;
      live.takeId = isOwn ? event.takeId : null;
      live.beatZeroSeconds = isOwn ? event.beatZeroSeconds : null;
      live.takeFrames = null;
      live.follower = isOwn ? createFollower() : null;
      return;
    }
    case 'frames': {
      const from = live.track.count;
      live.track.appendColumns(event.columns);
      if (live.takeFrames === null)
        for (let frame = from; frame < live.track.count; frame++) live.follower?.look(live.track, frame);
      return;
    }
    case 'takeOver':
      // After its end nothing is added: the page keeps the take as it was.
      if (event.takeId === live.takeId) live.takeFrames = live.track.count;
  }
}
