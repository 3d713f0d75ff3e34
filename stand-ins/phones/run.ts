/**
 * `npm run reliability [offline] [kills] [shared] [large] [touches]`: phones at a kiln, whose batteries die,
 * whose studio is killed while they send, that two people share. What a phone said it keeps must reach the
 * studio, once, in order, under its writer's name. Figures go to docs/RELIABILITY.md.
 */
import { spawnSync } from 'node:child_process';
import { build } from '../../scripts/build';
import { kills } from './kills';
import { large } from './large';
import { offline } from './offline';
import { shared } from './shared';
import { touches } from './touches';

const ALL = { offline, kills, shared, large, touches };
type Name = keyof typeof ALL;
const names = Object.keys(ALL) as Name[];
const asked = process.argv.slice(2).filter((one): one is Name => names.includes(one as Name));
await build();
if (asked.length === 1) {
  const { said, good } = await ALL[asked[0]!]();
  console.log(`${good ? 'holds' : 'FAILS'} ${asked[0]}: ${said}`);
  process.exit(good ? 0 : 1);
}
// A world each, in a process of its own.
const failed = (asked.length === 0 ? names : asked).filter(
  (name) =>
    spawnSync(process.execPath, ['--import', 'tsx', import.meta.filename, name], { stdio: 'inherit' })
      .status !== 0,
);
process.exit(failed.length === 0 ? 0 : 1);
