import type { DeskInput } from '../audio/index.ts';
import type { WholeTake } from '../storage/index.ts';
import type { SessionEvent } from '../workers/index.ts';
import type { TroubleCode } from './troubleCode.ts';
import type { VisitEvent } from './visitState.ts';

export interface NewsDesk {
  send(event: VisitEvent): void;
  tell(trouble: TroubleCode): void;
  /** A take that the worker could not store; it must be kept in any case. */
  unsaved(take: WholeTake): void;
}

/**
 * Hands on what the worker of this number says while this input is open: as an event of the visit, which tells news of the
 * present take from those of one that was left; as a trouble; or nowhere, where only painters need it.
 */
export function handOnNews(
  event: SessionEvent,
  worker: number,
  input: DeskInput | null,
  { send, tell, unsaved }: NewsDesk,
): void {
  switch (event.type) {
    case 'segment': {
      const { takeId, startSeconds, beatZeroSeconds } = event;
      if (takeId === null || beatZeroSeconds === null) return;
      send({ type: 'takeBegun', takeId, startSeconds, beatZeroSeconds: startSeconds + beatZeroSeconds });
      return;
    }
    case 'takeOver':
    case 'takeEnded':
    case 'nothingHeard':
      send(event);
      return;
    case 'takeUnsaved':
      unsaved(event.take);
      tell('takeUnsaved');
      return;
    case 'storageTrouble':
      tell(event.full ? 'storageFull' : 'storageRefused');
      return;
    case 'trouble':
      // The simulated player is silent, soft and loud as it likes: that is no trouble.
      if (input === 'microphone' || event.trouble === 'lostSound') tell(event.trouble);
      return;
    case 'workerFailed':
      send({ type: 'workerBroke', worker });
  }
}
