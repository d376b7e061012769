import { FrameTrack } from '@inner-hum/core/hearing';
import type { SessionEvent } from '../workers/index.ts';
import type { LiveSound } from './sessionTypes.ts';

export const newLiveSound = (): LiveSound => ({
  track: new FrameTrack(),
  startSeconds: 0,
  takeId: null,
  beatZeroSeconds: null,
  takeFrames: null,
});

/** Lays what the worker hears under the painters' eyes. Sound of a take that was left belongs to none. */
export function followLive(live: LiveSound, event: SessionEvent, takeId: string | null): void {
  switch (event.type) {
    case 'segment': {
      const isOwn = event.takeId !== null && event.takeId === takeId;
      live.track = new FrameTrack();
      live.startSeconds = event.startSeconds;
      live.takeId = isOwn ? event.takeId : null;
      live.beatZeroSeconds = isOwn ? event.beatZeroSeconds : null;
      live.takeFrames = null;
      return;
    }
    case 'frames':
      live.track.appendColumns(event.columns);
      return;
    case 'takeOver':
      // After its end nothing is added: the page keeps the take as it was.
      if (event.takeId === live.takeId) live.takeFrames = live.track.count;
  }
}
