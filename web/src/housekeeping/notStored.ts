import { isQuotaError } from '../storage/index.ts';

/**
 * Tells when something was changed that could not be stored because there is no room left: whoever wrote it went on. What is thrown for
 * any other reason stays an error of the page.
 */
export function tellWhatIsNotStored(page: EventTarget, tell: () => void): void {
  page.addEventListener('unhandledrejection', (event) => {
    if (!isQuotaError((event as PromiseRejectionEvent).reason)) return;
    event.preventDefault();
    tell();
  });
}
