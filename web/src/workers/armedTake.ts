import type { FrameTrack } from '@inner-hum/core/hearing';
import type { TakeContext } from '@inner-hum/core/judge';
import { quietestRoom } from '@inner-hum/core/tone';
import type { ArmRequest } from './protocol.ts';

// What an armed take is judged by where a drone sounds. `leakDb`: how loud it is in the microphone; null where none is heard, `Infinity` until that is known.

/** The room is what was quietest in so much of the time before. */
const ROOM_FRAMES = 1000;

/** Says whether a drone spoils what is heard. */
export const withDrone = (request: ArmRequest, leakDb: number | null): ArmRequest => ({
  ...request,
  context: { ...request.context, droneSpoils: leakDb !== null && leakDb < Infinity },
});

/** What is no louder than the room, or than a drone in it, is nobody playing. */
export const floorOf = ({ context: { roomFloorDb } }: ArmRequest, leakDb: number | null) =>
  leakDb === null ? roomFloorDb : Math.max(roomFloorDb ?? -Infinity, leakDb);

/** What a take is judged by that begins now. `before`: what was heard until then. */
export function takeContext(
  request: ArmRequest,
  leakDb: number | null,
  before: FrameTrack,
  beatZeroSeconds: number | null,
): TakeContext {
  return {
    ...request.context,
    roomFloorDb: leakDb === Infinity ? request.context.roomFloorDb : floorOf(request, leakDb),
    // The room is heard before the player: from inside a take that is full of written air it could not be told.
    room: leakDb === null ? quietestRoom(before, Math.max(0, before.count - ROOM_FRAMES)) : null,
    beatZeroSeconds,
  };
}
