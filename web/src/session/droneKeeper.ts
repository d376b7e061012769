import { notesOf, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { droneSpoils } from '@inner-hum/core/hearing';
import { droneHz, writtenMidi } from '@inner-hum/core/horn';
import type { Drone } from '../audio/index.ts';
import type { SessionClient } from '../workers/index.ts';
import type { SessionSetup } from './setup.ts';

/** Until the drone has come up and half a second of it was heard. */
const HEARD_MS = 1100;
/** A tone of the player may have been in it: only what is heard twice is the drone. */
const LOOKS = 2;
/** Where the room was never measured: softer than this harms no take. */
const USUAL_ROOM_DB = -60;
/** G4: an easy middle note, where nothing else is asked for. */
const MIDDLE = writtenMidi(67);

export interface DroneKeeper {
  /** Sounds, changes or stops the drone as the set-up has it. */
  update(setup: SessionSetup, exercise: Exercise | null): void;
  stop(): void;
  /** It was heard by the microphone: pitch cannot be told from it. */
  readonly spoils: boolean;
}

/** Keeps the drone as it is wished and finds out whether the microphone hears it. */
export function createDroneKeeper(
  drone: Drone,
  client: SessionClient,
  onSpoils: (spoils: boolean) => void,
): DroneKeeper {
  let spoils = false;
  let timer: ReturnType<typeof setTimeout> | null = null;

  function tell(next: boolean) {
    if (spoils === next) return;
    spoils = next;
    onSpoils(spoils);
  }
  function forget() {
    if (timer) clearTimeout(timer);
    timer = null;
  }

  async function look(left: number, roomFloorDb: number) {
    const leak = await client.remote.droneLeak([...drone.partialsHz]);
    if (drone.partialsHz.length === 0 || leak === null) return;
    if (!droneSpoils(leak, roomFloorDb)) tell(false);
    else if (left <= 1) tell(true);
    else timer = setTimeout(() => void look(left - 1, roomFloorDb), HEARD_MS);
  }

  function stop() {
    forget();
    drone.stop();
    tell(false);
  }

  return {
    get spoils() {
      return spoils;
    },
    stop,
    update({ settings, roomFloorDb }, exercise) {
      const { on, midi, tuning, timbre } = settings.drone;
      if (!on) {
        stop();
        return;
      }
      const played = (exercise && notesOf(scoreOf(exercise)).at(0)?.item.writtenMidi) ?? MIDDLE;
      const wanted = midi === null ? played : writtenMidi(midi);
      const before = drone.partialsHz;
      drone.sound(droneHz(wanted, played, tuning, settings.hornId, settings.a4Hz), timbre);
      if (before === drone.partialsHz || settings.source !== 'microphone') return;
      forget();
      timer = setTimeout(() => void look(LOOKS, roomFloorDb ?? USUAL_ROOM_DB), HEARD_MS);
    },
  };
}
