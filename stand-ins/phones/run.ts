/**
 * `npm run reliability [offline|kills|shared|large|touches]`: phones at a kiln, whose batteries die, whose studio is
 * killed while they send, that two people share. What a phone said it keeps must reach the studio, once, in order,
 * under its writer's name. Figures go to docs/RELIABILITY.md.
 */
import { build } from '../../scripts/build';
import { kills } from './kills';
import { large } from './large';
import { offline } from './offline';
import { shared } from './shared';

const ALL = { offline, kills, shared, large };
const asked = process.argv.slice(2);
build();
let failed = false;
for (const [name, script] of Object.entries(ALL)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const { said, good } = await script();
  console.log(`${good ? 'holds ' : 'FAILS '} ${name}: ${said}`);
  failed ||= !good;
}
process.exit(failed ? 1 : 0);
