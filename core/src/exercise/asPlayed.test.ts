import { expect, it } from 'vitest';
import { hornById } from '../horn/index.ts';
import { exerciseAsPlayed, familyById, lengthBeats, scoreOf, writtenMarks, type Exercise } from './index.ts';

const exercise = (family: string): Exercise => {
  const found = familyById(family);
  if (!found) throw new Error(family);
  return found.build(hornById('alto'));
};
const phraseOf = (whole: Exercise): Exercise => ({ ...whole, phrases: whole.phrases.slice(0, 1) });

it('stretches marks, bends and words with their note', () => {
  const swells = exerciseAsPlayed(phraseOf(exercise('pairedSwells')), [8, 2]);
  expect(scoreOf(swells).map(({ startBeat, endBeat }) => [startBeat, endBeat])).toEqual([
    [0, 8],
    [8, 10],
  ]);
  expect(writtenMarks(swells).map(({ mark }) => mark)).toEqual(['pp', 'ff', 'pp']);
  const [sweep] = exerciseAsPlayed(
    phraseOf({ ...exercise('vowelSweep'), order: 'asWritten' }),
    [20, 20, 20],
  ).phrases;
  expect(sweep.items[0]).toMatchObject({
    lengthBeats: 20,
    words: [{ beat: 0 }, { beat: 4 }, {}, {}, { beat: 16 }],
  });
  const bends = exercise('mouthpieceAlone');
  const bent = exerciseAsPlayed({ ...bends, phrases: [{ ...bends.phrases[1], repeats: 1 }] }, [4]);
  expect(bent.phrases[0].items[0]).toMatchObject({
    bend: [{ beat: 0 }, { beat: 1 }, { beat: 2, cents: -300 }, { beat: 3 }, { beat: 4 }],
  });
});

it('leaves alone what was played as it is written, and refuses lengths of another score', () => {
  const climb = phraseOf(exercise('overtoneClimb'));
  const score = scoreOf(climb);
  const same = exerciseAsPlayed(
    climb,
    score.map(({ item }) => item.lengthBeats),
  );
  expect(scoreOf(same)).toEqual(score);
  expect(lengthBeats(same)).toBe(lengthBeats(climb));
  expect(() => exerciseAsPlayed(climb, [1, 2])).toThrowError(RangeError);
});
