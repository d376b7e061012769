import type { TakeRecord } from './records.ts';

/** Whether a take is kept and was not deleted. */
export const isListed = ({ state, deletedAt }: Pick<TakeRecord, 'state' | 'deletedAt'>) =>
  state === 'kept' && deletedAt === null;
