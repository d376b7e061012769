function meta(name: string): string | null {
  return document.querySelector<HTMLMetaElement>(`meta[name="${name}"]`)?.content ?? null;
}

/** Whether the server was started with demo data. */
export const isDemo = meta('inner-hum-mode') === 'demo';

/** The demo's takes live in a database of their own. */
export const databaseName = isDemo ? 'inner-hum-demo' : 'inner-hum';

/** The nonce that lets this page, and nobody else, add styles. */
export const styleNonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? '';
