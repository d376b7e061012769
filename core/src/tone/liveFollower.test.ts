import { expect, it } from 'vitest';
import { FrameTrack } from '../hearing/index.ts';
import { createLiveFollower, type FollowedNote } from './index.ts';

const slurred = (targetHz: number) => ({ targetHz, isSlurred: true });
const begun = (targetHz: number) => ({ targetHz, isSlurred: false });
const [A, B, C] = [220, 330, 440];

/** Frames at a pitch (null: silence), fed one by one; what was seen after each. */
function follow(targets: (number | FollowedNote)[], ...parts: [frames: number, hz: number | null][]) {
  const track = new FrameTrack(4);
  const follower = createLiveFollower(
    targets.map((each) => (typeof each === 'number' ? slurred(each) : each)),
    10,
  );
  const seen: { index: number; clear: boolean }[] = [];
  for (const [frames, hz] of parts)
    for (let i = 0; i < frames; i++) {
      track.append(hz ?? NaN, hz === null ? 0.1 : 0.95, hz === null ? -90 : -30, 3, -30);
      follower.look(track, track.count - 1);
      seen.push({ index: follower.place.index, clear: follower.place.clearFrame !== null });
    }
  return { ...follower.place, seen };
}

it('moves on once the next pitch has stood for 150 ms, however long the one before was held', () => {
  for (const held of [60, 700]) {
    const { seen, began } = follow([A, B, A], [20, null], [held, A], [100, B], [50, A]);
    expect(began).toEqual([20, 20 + held, 120 + held]);
    expect(seen[20 + held + 13].index).toBe(0);
    expect(seen[20 + held + 14].index).toBe(1);
  }
});

it('calls a note clear after half a second inside the band, and again for the next', () => {
  const { seen } = follow([A, B], [30, A * 1.02], [60, A], [60, B]);
  expect(seen.findIndex(({ clear }) => clear)).toBe(30 + 49);
  expect(seen[90 + 20].clear).toBe(false);
  expect(seen[90 + 49].clear).toBe(true);
});

it('is not moved by a slip, passes over what is left out, and parts one pitch by a hole', () => {
  expect(follow([A, B, C], [50, A], [10, B], [50, A]).index).toBe(0);
  expect(follow([A, B, C], [50, A], [50, C])).toMatchObject({ index: 2, began: [0, null, 50], isLast: true });
  expect(follow([A, A, B], [50, A], [10, null], [50, A])).toMatchObject({ index: 1, isLast: false });
  expect(follow([A, A, B], [120, A]).index).toBe(0);
  expect(follow([A, A], [50, A], [30, null])).toMatchObject({ isLast: true, lastFrame: 49 });
});

it('waits for the same pitch begun anew, and is at its end where only the fingers change', () => {
  const hits = [A, A, A].map(begun);
  expect(follow(hits, [50, A], [200, null])).toMatchObject({ index: 0, isLast: false });
  expect(follow(hits, [50, A], [200, null], [50, A])).toMatchObject({ index: 1, isLast: false });
  expect(follow(hits, [50, A], [20, null], [50, A], [20, null], [50, A])).toMatchObject({
    index: 2,
    isLast: true,
  });
  expect(follow([A, A, A], [50, A])).toMatchObject({ index: 0, isLast: true });
});

it('waits at its first note for as long as it does not come', () => {
  expect(follow([A, B], [100, null])).toMatchObject({ index: 0, began: [], isLast: false });
  expect(follow([A], [5, null]).isLast).toBe(true);
});
