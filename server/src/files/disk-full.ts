/** Full disk or quota: not the person's fault, and nothing was kept. */
export const isDiskFull = (error: unknown): boolean =>
  ['ENOSPC', 'EDQUOT', 'SQLITE_FULL'].includes(String((error as { code?: unknown } | null)?.code));
