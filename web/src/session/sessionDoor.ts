import type { SessionController } from './sessionTypes.ts';

/** The visit of this page, which comes with the first room that plays: a page that only asks or shows does without. */
export interface SessionDoor {
  /** Null until it has come. */
  readonly current: SessionController | null;
  /** The same each time. */
  load(): Promise<SessionController>;
}

export function createSessionDoor(open: () => Promise<SessionController>): SessionDoor {
  let coming: Promise<SessionController> | null = null;
  let current: SessionController | null = null;
  return {
    get current() {
      return current;
    },
    load() {
      coming ??= open().then((controller) => (current = controller));
      // Where it could not be fetched, the next who asks tries again.
      coming.catch(() => (coming = null));
      return coming;
    },
  };
}
