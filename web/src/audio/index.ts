// The only place that touches AudioContext, worklets and media devices, and the only one that knows what time it is.
export { playCue } from './cue.ts';
export { createDesk } from './createDesk.ts';
export type { Desk, DeskInput, DeskTrouble, InputTrouble, OpenInput } from './desk.ts';
export { createDrone, type Drone, type DroneTimbre } from './drone.ts';
export { barSounds, createMetronome, type Metronome, type Pulse } from './metronome.ts';
export { holdMediaKeys } from './mediaKeys.ts';
export { createTakePlayer, type TakePlayer } from './takePlayer.ts';
export { decodeSound, type DecodedSound } from './decodeSound.ts';
export { listMicrophones, type MicrophoneName } from './microphone.ts';
