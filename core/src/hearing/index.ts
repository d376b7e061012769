// The ear: samples in, frames out. It knows what a saxophone tone looks like to a transform, but nothing of
// notes, exercises or players: those read the frames from tone/ and above.
export { LEVEL_WINDOW_SECONDS } from './levelMeter.ts';
export { FrameTrack, FRAME_SECONDS, MAX_PARTIAL, columnValue, type FrameColumns } from './frames.ts';
export { createListener, MAX_RATE_HZ, MIN_RATE_HZ, type Listener, type ListenerConfig } from './listener.ts';
export { pitchWindowSeconds } from './dualSpectrum.ts';
export { listenTo } from './listenTo.ts';
export { HIGHEST_HZ, LOWEST_HZ } from './combScore.ts';
export { CLICK_SECONDS, renderClick } from './clickShape.ts';
export { findHoles, type NonPlayerSpan } from './holes.ts';
export { findClicks, type FoundClick } from './clickFinder.ts';
export { droneLeakDb, droneSpoils } from './droneLeak.ts';
