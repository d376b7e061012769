import { transfer } from 'comlink';
import type { Desk, DeskInput, InputTrouble } from '../audio/index.ts';
import type { SessionClient, SessionEvent } from '../workers/index.ts';
import type { TroubleCode } from './troubleCode.ts';

const LOW_RATE_HZ = 32000;

export interface OpenedInput {
  sampleRateHz: number;
  /** What is not as good as it could be. */
  troubles: TroubleCode[];
}

/** Opens an input and leads its sound to the worker, whose events come to `hear`. Why it could not be opened, otherwise. */
export async function openInput(
  client: SessionClient,
  desk: Desk,
  input: DeskInput,
  hear: (event: SessionEvent) => void,
): Promise<OpenedInput | InputTrouble> {
  const capture = new MessageChannel();
  const opened = await desk.open(input, capture.port1);
  if (typeof opened === 'string') return opened;
  const { sampleRateHz, deviceRateHz, keptProcessing, isOther } = opened;
  const events = new MessageChannel();
  events.port1.onmessage = ({ data }: MessageEvent<SessionEvent>) => hear(data);
  // Not waited for: calls come in order, and a worker that hangs is found by its silence.
  void client.remote.attach(
    transfer(capture.port2, [capture.port2]),
    transfer(events.port2, [events.port2]),
    sampleRateHz,
  );
  const troubles: TroubleCode[] = isOther ? ['micOther'] : [];
  if (deviceRateHz !== null && deviceRateHz < LOW_RATE_HZ) troubles.push('lowRate');
  if (keptProcessing.length > 0) troubles.push('keptProcessing');
  return { sampleRateHz, troubles };
}
