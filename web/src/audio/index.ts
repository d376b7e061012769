// The only place that touches AudioContext, worklets and media devices.
export { createAudioDesk, type AudioDesk, type InputTrouble, type OpenInput } from './audioDesk.ts';
export { createDrone, type Drone, type DroneTimbre } from './drone.ts';
export { barSounds, createMetronome, type Metronome, type Pulse } from './metronome.ts';
export { createTakePlayer, type TakePlayer } from './takePlayer.ts';
export { decodeSound, type DecodedSound } from './decodeSound.ts';
