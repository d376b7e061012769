import { notesOf, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { droneSpoils } from '@inner-hum/core/hearing';
import { droneHz, writtenMidi } from '@inner-hum/core/horn';
import type { Desk, Drone } from '../audio/index.ts';
import type { SessionClient } from '../workers/index.ts';
import type { SessionSetup } from './setup.ts';

/** Until the drone has come up and half a second of it was heard. */
const HEARD_SECONDS = 1.1;
/** A tone of the player may have been in it: only what is heard twice is the drone. */
const LOOKS = 2;
/** So often an input that gives no sound may put off the answer; some are shut by a gate of their own while it is quiet. */
const SILENT_LOOKS = 8;
/** Where the room was never measured: softer than this harms no take. */
const USUAL_ROOM_DB = -60;
/** G4: an easy middle note, where nothing else is asked for. */
const MIDDLE = writtenMidi(67);

export interface DroneController {
  /** Sounds, changes or stops the drone as the set-up has it. */
  update(setup: SessionSetup, exercise: Exercise | null): void;
  stop(): void;
  /** How loud it is at the microphone, where it is heard there; `Infinity` until that is known, null where it is not heard. */
  readonly leakDb: number | null;
}

/** Keeps the drone as it is wished and finds out whether the microphone hears it. */
export function createDroneController(
  drone: Drone,
  desk: Pick<Desk, 'after'>,
  client: SessionClient,
  onLeak: (leakDb: number | null) => void,
): DroneController {
  let leakDb: number | null = null;
  let heardBy: string | null = null;
  let noLonger = () => {};

  function tell(next: number | null) {
    if (leakDb === next) return;
    leakDb = next;
    onLeak(leakDb);
  }

  function lookLater(roomFloorDb: number, left = LOOKS, silentLeft = SILENT_LOOKS) {
    noLonger = desk.after(HEARD_SECONDS, () => void look(roomFloorDb, left, silentLeft));
  }

  async function look(roomFloorDb: number, left: number, silentLeft: number) {
    const leak = await client.remote.droneLeak([...drone.partialsHz]);
    if (drone.partialsHz.length === 0) return;
    if (leak === null && silentLeft > 1) lookLater(roomFloorDb, left, silentLeft - 1);
    else if (leak === null || !droneSpoils(leak, roomFloorDb)) tell(null);
    else if (left > 1) lookLater(roomFloorDb, left - 1, silentLeft);
    else tell(leak);
  }

  function stop() {
    noLonger();
    drone.stop();
    tell(null);
  }

  return {
    get leakDb() {
      return leakDb;
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
      const isOther = heardBy !== settings.source;
      heardBy = settings.source;
      drone.sound(droneHz(wanted, played, tuning, settings.hornId, settings.a4Hz), timbre);
      if (before === drone.partialsHz && !isOther) return;
      noLonger();
      if (settings.source !== 'microphone') {
        tell(null);
        return;
      }
      // Until it is known, nothing begins by its sound.
      tell(Infinity);
      lookLater(roomFloorDb ?? USUAL_ROOM_DB);
    },
  };
}
