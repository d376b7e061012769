import { expect, it } from 'vitest';
import { barSounds } from './metronome.ts';

it('leaves out the silent bars and no other, and counts in always', () => {
  const silentBars = { sounding: 2, silent: 1 };
  // Bars of three beats: 0-5 sound, 6-8 do not, 9-14 sound again.
  const heard = Array.from({ length: 18 }, (_, beat) => barSounds({ beatsPerBar: 3, silentBars }, beat));
  expect(heard.map((each, beat) => (each ? null : beat)).filter((beat) => beat !== null)).toEqual([
    6, 7, 8, 15, 16, 17,
  ]);
  // Clicks between beats go with their bar.
  expect(barSounds({ beatsPerBar: 3, silentBars }, 5.5)).toBe(true);
  expect(barSounds({ beatsPerBar: 3, silentBars }, 6.5)).toBe(false);
  expect(barSounds({ beatsPerBar: 3, silentBars: { sounding: 1, silent: 8 } }, -2)).toBe(true);
});
