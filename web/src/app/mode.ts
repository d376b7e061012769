import { databaseOf, openedBook } from '../books/books.ts';

function meta(name: string): string | null {
  return document.querySelector<HTMLMetaElement>(`meta[name="${name}"]`)?.content ?? null;
}

/** Whether the server was started with demo data. */
export const isDemo = meta('inner-hum-mode') === 'demo';

/** Each book has a database of its own, and so have the demo's takes. */
export const databaseName = isDemo ? 'inner-hum-demo' : databaseOf(openedBook());

/** The nonce that lets this page, and nobody else, add styles. */
export const styleNonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? '';
