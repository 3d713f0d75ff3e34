import { rmSync } from 'node:fs';

export default async function teardown(): Promise<void> {
  const running = globalThis.jitenTestDatabase;
  if (running === undefined) return;
  running.over = true;
  await running.database.stop();
  rmSync(running.directory, { recursive: true, force: true });
}
