import { expect, it } from 'vitest';
import { tellWhatIsNotStored } from './notStored.ts';

/** How often the player is told, and whether the browser is to hear of it no more, when a promise fails for this reason and nobody is waiting for it. */
function after(reason: unknown) {
  const page = new EventTarget();
  let told = 0;
  tellWhatIsNotStored(page, () => told++);
  const event = Object.assign(new Event('unhandledrejection', { cancelable: true }), { reason });
  page.dispatchEvent(event);
  return { told, isQuiet: event.defaultPrevented };
}

const full = new DOMException('No space left.', 'QuotaExceededError');

it('tells that there was no room, also when the transaction says it for its write', () => {
  const told = { told: 1, isQuiet: true };
  expect(after(full)).toEqual(told);
  expect(after(Object.assign(new Error('aborted'), { name: 'AbortError', inner: full }))).toEqual(told);
});

it('leaves every other fault to the page', () => {
  for (const reason of [
    new Error('a fault'),
    Object.assign(new Error('left'), { name: 'AbortError' }),
    undefined,
  ])
    expect(after(reason)).toEqual({ told: 0, isQuiet: false });
});
