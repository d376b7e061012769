import { transfer } from 'comlink';
import type { AudioDesk, InputTrouble } from '../audio/index.ts';
import type { SettingsRecord } from '../storage/index.ts';
import type { SessionClient, SessionEvent } from '../workers/index.ts';
import type { TroubleCode } from './sessionSlice.ts';

type Source = SettingsRecord['source'];

/** The one input that is open, and its way to the worker. */
export interface LiveInput {
  /** Opens this source unless it is open; one opening at a time. False, with its trouble told, where it cannot. */
  open(source: Source): Promise<boolean>;
  /** The next opening asks the browser anew. */
  forget(): void;
  readonly source: Source | null;
  readonly sampleRateHz: number;
}

interface LiveInputConfig {
  client: SessionClient;
  desk: AudioDesk;
  hear(event: SessionEvent): void;
  onOpening(): void;
  onTrouble(trouble: InputTrouble | TroubleCode): void;
}

const LOW_RATE_HZ = 32000;

export function createLiveInput({ client, desk, hear, onOpening, onTrouble }: LiveInputConfig): LiveInput {
  let source: Source | null = null;
  let sampleRateHz = 48000;
  let opening: Promise<boolean> = Promise.resolve(false);

  async function openNow(wanted: Source): Promise<boolean> {
    if (source === wanted) return true;
    onOpening();
    const capture = new MessageChannel();
    const events = new MessageChannel();
    events.port1.onmessage = ({ data }: MessageEvent<SessionEvent>) => hear(data);
    const input = await desk.open(wanted, capture.port1);
    if (typeof input === 'string') {
      source = null;
      onTrouble(input);
      return false;
    }
    source = wanted;
    sampleRateHz = input.sampleRateHz;
    if (input.deviceRateHz !== null && input.deviceRateHz < LOW_RATE_HZ) onTrouble('lowRate');
    if (input.keptProcessing.length > 0) onTrouble('keptProcessing');
    await client.remote.attach(
      transfer(capture.port2, [capture.port2]),
      transfer(events.port2, [events.port2]),
      sampleRateHz,
    );
    return true;
  }

  return {
    open(wanted) {
      // Rooms follow each other faster than a microphone opens.
      opening = opening.then(() => openNow(wanted));
      return opening;
    },
    forget() {
      source = null;
      // An opening that waits for a dead worker would keep all others waiting.
      opening = Promise.resolve(false);
    },
    get source() {
      return source;
    },
    get sampleRateHz() {
      return sampleRateHz;
    },
  };
}
