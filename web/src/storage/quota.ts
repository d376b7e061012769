/** Whether something was not stored because there is no room left; a transaction that ended for that names it inside. */
export function isQuotaError(error: unknown): boolean {
  const names = error instanceof Error ? [error.name, (error as { inner?: Error }).inner?.name] : [];
  return names.includes('QuotaExceededError');
}
