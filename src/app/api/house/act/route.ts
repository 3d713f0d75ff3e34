import { askHouse, readHouse } from '@/features/house/server';
import { requireDeed } from '../../require';
import { houseAct } from '@/keeper/state';
import { readJson } from '@/platform/body';
import { fromHere } from '@/platform/origin';
import { found, refuse } from '@/platform/refusal';
import { answering } from '@/platform/respond';

export const dynamic = 'force-dynamic';

/** How the house stands, its backups with it. */
export function GET(): Promise<Response> {
  return answering('house', async () => {
    await requireDeed('run the studio');
    return found(readHouse(), 'The keeper of this studio’s house');
  });
}

/** Has a backup made, tried or brought back. */
export function POST(http: Request): Promise<Response> {
  return answering('house', async () => {
    fromHere(http.headers);
    await requireDeed('run the studio');
    const act = houseAct.safeParse(await readJson(http, 5000));
    if (!act.success) throw refuse('The request could not be read.');
    return askHouse(act.data);
  });
}
