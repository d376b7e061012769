import type { ReedRecord } from '../../storage/index.ts';

/** Kind and strength, then what is written on this one. */
export const reedName = ({ kind, name }: Pick<ReedRecord, 'kind' | 'name'>) =>
  [kind, name].filter(Boolean).join(', ');
