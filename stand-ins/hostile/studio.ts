/** An application for throwing away, attacked. */
import { DEMO_PASSWORD } from '../../demo/studio';
import type { Dumped } from '../../src/keeper/backup/dump';
import { openOn } from '../../src/keeper/server';
import { startApplication } from '../../test-support/application';
import { attack, type Attack, type Report } from './run';

/** Lines of the application's log that tell of something it did not expect. */
const isFault = (line: string): boolean => {
  try {
    return (JSON.parse(line) as { level: number }).level >= 50;
  } catch {
    return /error|warn/i.test(line);
  }
};

/** Attacks a studio that holds the demo; whether the process lived through it is part of the answer. */
export async function attackOn(
  { server, name, data }: { server: Dumped; name: string; data: string },
  how: Pick<Attack, 'bodies' | 'addresses' | 'seed' | 'progress'>,
): Promise<{ report: Report; faults: string[] }> {
  let said = '';
  const application = await startApplication({ server, name }, data, { JITEN_LOG: 'error' }, (bytes) => {
    said += bytes.toString();
  });
  let died = false;
  void application.ended.then(() => (died = true));
  const db = openOn(server, name);
  const technician = await db('person').where({ login: 'iben' }).first();
  const cookie = async (): Promise<string> => {
    // What was sent so far may have taken the role or the password of whoever sends.
    await db('person').where({ id: technician.id }).update(technician);
    await db('attempt').delete();
    const answer = await fetch(`${application.url}/api/door/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ login: 'iben', password: DEMO_PASSWORD }),
    });
    return (answer.headers.get('set-cookie') ?? '').split(';')[0]!;
  };
  try {
    const report = await attack({ url: application.url, db, cookie, ...how });
    const faults = said.split('\n').filter((line) => line !== '' && isFault(line));
    return { report, faults: died ? ['The application fell.', ...faults] : faults };
  } finally {
    await db.destroy();
    await application.stop();
  }
}
