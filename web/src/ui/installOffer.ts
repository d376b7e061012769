/** What the browser hands over when the app can be installed. */
interface InstallEvent extends Event {
  prompt(): Promise<unknown>;
}

let offer: InstallEvent | null = null;
const listeners = new Set<() => void>();

function put(next: InstallEvent | null): void {
  offer = next;
  for (const listener of listeners) listener();
}

/** Waits for the offer, which comes once, soon after the page is there, whichever room is open. */
export function awaitInstallOffer(): void {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    put(event as InstallEvent);
  });
  window.addEventListener('appinstalled', () => put(null));
}

/** The browser's offer to install the app, kept until it is taken. */
export const installOffer = {
  current: () => offer,
  subscribe(listener: () => void) {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  async take() {
    const taken = offer;
    put(null);
    await taken?.prompt();
  },
};
