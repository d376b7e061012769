import { expect, test } from 'vitest';
import { createQuickDesk } from '../audio/quickDesk.ts';
import { createCountdowns } from './countdowns.ts';

/** A quick desk whose listener answers at once. */
function openDesk() {
  const desk = createQuickDesk();
  const { port1, port2 } = new MessageChannel();
  port2.onmessage = ({ data }: MessageEvent<{ answer: boolean }>) => {
    if (data.answer) port2.postMessage(null);
  };
  void desk.open('quick', port1);
  return { desk, close: () => [desk.close(), port2.close()] };
}

test('seconds of the desk’s clock are counted down, which is hurried meanwhile', async () => {
  const { desk, close } = openDesk();
  const countdowns = createCountdowns(desk, () => desk.hurry(countdowns.isAnyRunning()));
  const from = desk.now();
  const begun = performance.now();
  const told: number[] = [];
  await new Promise<void>((over) => {
    countdowns.start(12, (left) => {
      told.push(left);
      if (left === 0) over();
    });
    expect(countdowns.isAnyRunning()).toBe(true);
  });
  expect([...new Set(told)]).toEqual([12, 11, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1, 0]);
  expect(desk.now() - from).toBeGreaterThanOrEqual(12);
  // Quarters of a second, each noticed one batch of sound late at most.
  expect(desk.now() - from).toBeLessThan(12 + 48 * 0.09);
  expect(countdowns.isAnyRunning()).toBe(false);
  expect((performance.now() - begun) / 1000).toBeLessThan(desk.now() - from);
  close();
});

test('a countdown that is ended early says nothing more, and others go on', async () => {
  const { desk, close } = openDesk();
  const paces: boolean[] = [];
  const countdowns = createCountdowns(desk, () => {
    paces.push(countdowns.isAnyRunning());
    desk.hurry(true);
  });
  const told: number[] = [];
  const end = countdowns.start(1, (left) => told.push(left));
  end();
  end();
  await new Promise<void>((over) => countdowns.start(2, (left) => left === 0 && over()));
  expect(told).toEqual([]);
  expect(paces).toEqual([true, false, true, false]);
  close();
});
