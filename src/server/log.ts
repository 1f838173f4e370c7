import 'server-only';
import pino from 'pino';

/** Log to the terminal. Bodies, names and notes never reach it; what might is redacted. */
export const log = pino({
  level: process.env['STRICKLE_LOG'] ?? 'warn',
  redact: {
    paths: [
      '*.name',
      '*.note',
      '*.phone',
      '*.facts',
      '*.consult',
      '*.profile',
      'body',
      'params',
      'err.params',
      'err.query',
    ],
    censor: '[kept out]',
  },
});
