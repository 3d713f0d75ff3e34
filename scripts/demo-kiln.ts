/** In the demo one kiln is always being fired, by a simulated controller that posts its readings. */
import { CONE_SIX, MARTA, MARTA_EVERY, MARTA_SEED } from '../demo/logs';
import type { Database } from '../src/data/database';
import { listFirings } from '../src/data/firings';
import { newId, newToken } from '../src/data/ids';
import { addToken, listTokens, revokeToken } from '../src/data/kiln-care';
import { listKilns } from '../src/data/kilns';
import { listPeople } from '../src/data/people';
import { runController } from '../stand-ins/controller';
import { gaussian } from '../stand-ins/noise';

const SIMULATED = 'Simulated controller';

export async function runDemoKiln(db: Database, url: string, signal: AbortSignal): Promise<void> {
  const marta = (await listKilns(db)).find(({ slug }) => slug === 'marta');
  const technician = (await listPeople(db)).find(({ role }) => role === 'technician');
  const [firing] = marta ? await listFirings(db, { kilnId: marta.id, statuses: ['firing', 'cooling'] }) : [];
  if (!marta || !technician || !firing?.startedAt) return;
  for (const token of await listTokens(db, marta.id))
    if (token.name === SIMULATED) await revokeToken(db, token.id, new Date());
  const secret = newToken();
  const token = { id: newId(), kilnId: marta.id, name: SIMULATED, secret };
  await addToken(db, token, technician.id, new Date());
  console.log(`Marta is fired by a simulated controller: ${url}/kilns/firings/${firing.id}`);
  runController({
    url,
    token: secret,
    kiln: MARTA,
    segments: CONE_SIX,
    noise: gaussian(MARTA_SEED),
    since: firing.startedAt,
    every: MARTA_EVERY,
    signal,
  }).catch((error: unknown) =>
    console.error(
      `The simulated controller stopped: ${error instanceof Error ? error.message : String(error)}`,
    ),
  );
}
