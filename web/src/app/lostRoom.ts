// A room whose code cannot be fetched: the version it belongs to is gone from the server, or the network is.

const ASKED = 'inner-hum-loaded-again';

/** What of a page this needs. */
export interface LostRoomPage {
  /** `vite:preloadError`, `beforeunload`, `pageshow`. */
  events: Pick<EventTarget, 'addEventListener'>;
  /** Lives as long as the tab. */
  memory: Pick<Storage, 'getItem' | 'setItem'>;
  /** Whether the page comes from the app as it is kept in this browser: then the one that comes has other rooms. */
  isKept(): boolean;
  isTakeRunning(): Promise<boolean>;
  reload(): void;
}

/**
 * Loads the page again, once a tab: a second time would be no better, and where the network is gone too it would never end. Not
 * while a take is played, and not while the page is being left: there a browser breaks off what is being fetched, and loading
 * again would swallow the move. What is not mended by it the room itself says (`RoomFailed`).
 */
export function watchLostRooms({ events, memory, isKept, isTakeRunning, reload }: LostRoomPage): void {
  let isLeaving = false;
  events.addEventListener('beforeunload', () => (isLeaving = true));
  // Back from where it was kept: it was not left after all.
  events.addEventListener('pageshow', () => (isLeaving = false));
  events.addEventListener('vite:preloadError', () => {
    if (isLeaving || !isKept() || memory.getItem(ASKED) !== null) return;
    void isTakeRunning().then((running) => {
      if (running || isLeaving || memory.getItem(ASKED) !== null) return;
      memory.setItem(ASKED, 'yes');
      reload();
    });
  });
}

/** Whether an error is one of fetching a room's code: each browser has its own words for it. */
export const isLostRoom = (error: unknown): boolean =>
  error instanceof TypeError && /module|import/i.test(error.message);
