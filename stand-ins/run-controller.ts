/**
 * A simulated controller from the command line:
 *   npm run controller -- --url http://127.0.0.1:3000 --token … [--since ISO] [--every 60]
 *     [--low 12] [--top 1210] [--speed 600]
 */
import { parseArgs } from 'node:util';
import { runController } from './controller';
import { ELECTRIC } from './kiln';
import { gaussian } from './noise';

const { values } = parseArgs({
  options: {
    url: { type: 'string', default: 'http://127.0.0.1:3000' },
    token: { type: 'string' },
    since: { type: 'string' },
    every: { type: 'string', default: '60' },
    low: { type: 'string', default: '0' },
    top: { type: 'string', default: '1210' },
    speed: { type: 'string' },
  },
});
if (!values.token) {
  console.error('Give the kiln’s token: --token …');
  process.exit(1);
}
const stop = new AbortController();
process.on('SIGINT', () => stop.abort());
process.on('SIGTERM', () => stop.abort());
runController({
  url: values.url,
  token: values.token,
  kiln: { ...ELECTRIC, readsLow: Number(values.low) },
  segments: [
    { rate: 160, target: 1080, holdMinutes: 0 },
    { rate: 65, target: Number(values.top), holdMinutes: 12 },
  ],
  noise: gaussian(1),
  since: values.since ? new Date(values.since) : new Date(),
  every: Number(values.every),
  ...(values.speed ? { speed: Number(values.speed) } : {}),
  signal: stop.signal,
  say: (line) => console.log(line),
}).then(
  (sent) => console.log(`${sent} readings sent.`),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
