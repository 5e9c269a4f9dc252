import pino from 'pino';

/** One JSON object a line on stdout: what happened, to which request, how long it took. No personal data. */
export const log = pino({
  base: undefined,
  level: process.env.LOG_LEVEL ?? 'info',
  timestamp: pino.stdTimeFunctions.isoTime,
});
