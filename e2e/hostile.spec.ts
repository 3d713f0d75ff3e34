/**
 * What nobody's form sends, to every write and every address there is; `npm run hostile` sends twenty times
 * as much.
 */
import { expect, test } from '@playwright/test';
import { attackOn } from '../stand-ins/hostile/studio';
import { copyOf } from './studios';

test('five hundred hostile requests: no crash, no answer of 500, nothing of its inside shown', async () => {
  test.setTimeout(240_000);
  // Much of what is sent is carried out.
  const { server, name, data, end } = await copyOf('demo');
  try {
    const { report, faults } = await attackOn(
      { server, name, data },
      { bodies: 370, addresses: 130, seed: 20_262 },
    );
    expect({ wrong: report.wrong, faults }).toEqual({ wrong: [], faults: [] });
    expect(report.sent).toBe(500);
    // It gets far: a good part is carried out, and the rest is refused for many reasons.
    expect(report.statuses[200]).toBeGreaterThan(100);
    expect(Object.keys(report.statuses).length).toBeGreaterThan(5);
  } finally {
    await end();
  }
});
