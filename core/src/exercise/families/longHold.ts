import { writtenMidi } from '../../horn/index.ts';
import { note, within, write, type Family } from './family.ts';

const MOST_BEATS = 32;

/** One steady note for as long as it stays good, and no longer: a bad tone is not rehearsed. */
export const longHold: Family = {
  id: 'longHold',
  moves: 'note',
  bases: ({ lowest, highest }) => [lowest, highest],
  usual: () => ({ note: writtenMidi(67), to: writtenMidi(67), tempoBpm: 60, start: 'playToStart' }),
  build(request) {
    const { note: base } = within(this, request);
    return write(this.id, request, {
      onFault: 'stop',
      rest: { kind: 'asPlayed' },
      phrases: [{ items: [{ ...note(base, MOST_BEATS, 'mf'), open: true }], breath: 'one', repeats: 3 }],
    });
  },
};
