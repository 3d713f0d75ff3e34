import { rmSync } from 'node:fs';

export default async function teardown(): Promise<void> {
  const running = globalThis.jitenTestDatabase;
  if (running === undefined) return;
  await running.database.stop();
  rmSync(running.directory, { recursive: true, force: true });
}
