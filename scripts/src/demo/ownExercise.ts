import { parseExercise } from '@inner-hum/core/exercise';

/** An exercise the invented player wrote: a soft low entry, and the phrase that grows out of it. */
export const SOFT_ENTRY = parseExercise({
  version: 3,
  name: 'Soft entry on low B',
  tempoBpm: 72,
  beatsPerBar: 4,
  start: 'countIn',
  phrases: [
    {
      breath: 'one',
      repeats: 2,
      items: [
        {
          kind: 'note',
          writtenMidi: 59,
          lengthBeats: 4,
          attack: 'breath',
          dynamics: [
            { beat: 0, mark: 'ppp' },
            { beat: 4, mark: 'mp' },
          ],
        },
        ...[64, 66, 67].map((writtenMidi, i) => ({
          kind: 'note',
          writtenMidi,
          lengthBeats: i === 2 ? 2 : 1,
          attack: 'slurred',
          dynamics: [
            { beat: 0, mark: i === 0 ? 'mp' : 'mf' },
            { beat: i === 2 ? 2 : 1, mark: 'mf' },
          ],
        })),
        {
          kind: 'note',
          writtenMidi: 66,
          lengthBeats: 4,
          attack: 'slurred',
          dynamics: [
            { beat: 0, mark: 'mf' },
            { beat: 4, mark: 'pp' },
          ],
        },
      ],
    },
    {
      breath: 'free',
      items: [
        { kind: 'hear', writtenMidi: 59, lengthBeats: 2 },
        { kind: 'hum', writtenMidi: 59, lengthBeats: 2 },
        ...[0, 1].flatMap(() => [
          {
            kind: 'note',
            writtenMidi: 59,
            lengthBeats: 2,
            attack: 'breath',
            dynamics: [
              { beat: 0, mark: 'pp' },
              { beat: 2, mark: 'pp' },
            ],
          },
          { kind: 'rest', lengthBeats: 2 },
        ]),
      ],
    },
  ],
});
