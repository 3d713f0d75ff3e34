import { estimateOffset, predictedOrdinal, sightOffsets } from '../src/core/heatwork';
import { bandsOf, minutesOf } from '../src/core/atmosphere';
import { demoHistory } from './history';
import { demoLog, READS_LOW, SCHEDULES } from './logs';
import { checkSchedule } from '../src/core/heatwork';

const now = new Date('2026-11-01T10:00:00Z');
const { firings } = demoHistory(now);
const logs = firings.map((firing, i) => ({ firing, log: demoLog(firing, i, now) }));

/** What a kiln's cones and logs teach, as the application would learn it. */
function learned(kiln: string, from = new Date(0)) {
  const said = logs.map(({ firing, log }) =>
    firing.kiln !== kiln || firing.status !== 'opened' || log === null || firing.at < from
      ? []
      : sightOffsets(
          log.readings.map(({ at, celsius }) => ({
            t: (at.getTime() - firing.at.getTime()) / 1000,
            c: celsius,
          })),
          firing.cones.flatMap(({ cone, place, bend }) =>
            bend === null ? [] : [{ cone, place, bendDegrees: bend }],
          ),
        ),
  );
  return estimateOffset(said)!;
}

test('Pip’s pyrometer reads 15 °C low, and its cones say so', () => {
  const { offset, low, high } = learned('pip');
  expect(low).toBeLessThan(READS_LOW.pip);
  expect(high).toBeGreaterThan(READS_LOW.pip);
  expect(Math.abs(offset! - READS_LOW.pip)).toBeLessThan(4);
});

test('Marta’s new elements changed what is learned of it', () => {
  const changed = new Date(now.getTime() - 300 * 86_400_000);
  expect(Math.abs(learned('marta', changed).offset! - READS_LOW.marta)).toBeLessThan(3);
  expect(learned('marta').offset!).toBeGreaterThan(learned('marta', changed).offset!);
});

test('a gas firing was hardly reduced, the others were', () => {
  const reduced = (kiln: string, under: boolean): number[] =>
    logs
      .filter(
        ({ firing, log }) =>
          firing.kiln === kiln && log !== null && firing.notes.startsWith('Damper') === under,
      )
      .map(({ firing, log }) =>
        minutesOf(
          bandsOf(
            log!.entries.flatMap(({ at, atmosphere, text }) =>
              atmosphere === null
                ? []
                : [{ t: (at.getTime() - firing.at.getTime()) / 1000, atmosphere, judgedBy: text }],
            ),
            12 * 3600,
          ),
          'heavy reduction',
        ),
      );
  expect(reduced('gable', true)).toEqual([0]);
  expect(reduced('gable', false).every((minutes) => minutes > 60)).toBe(true);
});

test('one kiln climbs by its controller, one cools, and no reading is still to come', () => {
  const climbing = logs.find(({ firing }) => firing.status === 'firing')!;
  expect(climbing.log!.readings.length).toBeGreaterThan(300);
  expect(climbing.log!.readings.at(-1)!.celsius).toBeGreaterThan(700);
  const cooling = logs.find(({ firing }) => firing.status === 'cooling')!;
  expect(cooling.log!.readings.at(-1)!.celsius).toBeLessThan(400);
  for (const { log } of logs)
    for (const { at } of log?.readings ?? []) expect(at.getTime()).toBeLessThanOrEqual(now.getTime());
});

test('logs agree with the cones that were read beside them', () => {
  const marta = logs.filter(
    ({ firing, log }) =>
      firing.kiln === 'marta' && firing.kind === 'glaze' && firing.status === 'opened' && log,
  );
  for (const { firing, log } of marta.slice(-5)) {
    const felt = predictedOrdinal(
      log!.readings.map(({ at, celsius }) => ({
        t: (at.getTime() - firing.at.getTime()) / 1000,
        c: celsius,
      })),
      READS_LOW.marta,
    );
    expect(Math.abs(felt - firing.reached)).toBeLessThan(0.35);
  }
});

test('every schedule that ships can be fired', () => {
  for (const { segments } of SCHEDULES) expect(checkSchedule(segments)).toEqual([]);
});
