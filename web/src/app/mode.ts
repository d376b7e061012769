import { databaseOf, isDemo, openedBook } from '../books/books.ts';

export { isDemo };

/** Each book has a database of its own, and so have the demo's takes. */
export const databaseName = isDemo ? 'inner-hum-demo' : databaseOf(openedBook());

/** The nonce that lets this page, and nobody else, add styles. */
export const styleNonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? '';
