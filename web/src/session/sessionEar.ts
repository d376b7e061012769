import { FrameTrack } from '@inner-hum/core/hearing';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import type { Dispatch } from '@reduxjs/toolkit';
import type { WholeTake } from '../storage/index.ts';
import type { SessionEvent } from '../workers/index.ts';
import { phaseChanged, takeEnded, troubleCame, troublesWent } from './sessionSlice.ts';
import type { LiveSound } from './sessionTypes.ts';
import { SOUND_TROUBLES } from './troubleGroups.ts';

interface SessionEarConfig {
  live: LiveSound;
  dispatch: Dispatch;
  /** The stand-in is silent, soft and loud as it likes: that is no trouble. */
  isStandIn(): boolean;
  /** A take has begun; its beat 0 was heard at this time of the audio clock. */
  onBegun(beatZeroSeconds: number): void;
  /** The take that was waited for is over; null: nothing came. */
  onOver(ended: { takeId: string; analysis: TakeAnalysis } | null): void;
  onUnsaved(take: WholeTake): void;
  onWorkerFailed(): void;
}

/** Turns what the worker tells into live sound and the state of the store. */
export function createSessionEar(config: SessionEarConfig): (event: SessionEvent) => void {
  const { live, dispatch } = config;
  return (event) => {
    switch (event.type) {
      case 'segment':
        live.track = new FrameTrack();
        live.startSeconds = event.startSeconds;
        live.takeId = event.takeId;
        live.beatZeroSeconds = event.beatZeroSeconds;
        live.takeFrames = null;
        if (event.takeId === null || event.beatZeroSeconds === null) return;
        dispatch(troublesWent(SOUND_TROUBLES));
        dispatch(phaseChanged('playing'));
        config.onBegun(event.startSeconds + event.beatZeroSeconds);
        return;
      case 'frames':
        live.track.appendColumns(event.columns);
        return;
      case 'takeEnded':
        // A take that was left - another room, another exercise - is kept, but is no news here.
        if (event.takeId !== live.takeId) return;
        live.takeFrames = live.track.count;
        dispatch(takeEnded(event.takeId));
        config.onOver(event);
        return;
      case 'nothingHeard':
        config.onOver(null);
        dispatch(troubleCame('nothingHeard'));
        dispatch(phaseChanged('armed'));
        return;
      case 'takeUnsaved':
        config.onUnsaved(event.take);
        dispatch(troubleCame('takeUnsaved'));
        return;
      case 'storageTrouble':
        dispatch(troubleCame(event.full ? 'storageFull' : 'storageRefused'));
        return;
      case 'trouble':
        if (!config.isStandIn() || event.trouble === 'lostSound') dispatch(troubleCame(event.trouble));
        return;
      case 'workerFailed':
        config.onWorkerFailed();
    }
  };
}
