import { demoHistory } from './history';
import { HEIGHT, WIDTH, paint } from './paint';

const now = new Date('2026-11-01T10:00:00Z');
const history = demoHistory(now);

test('it is the same every time', () => {
  expect(JSON.stringify(demoHistory(now))).toBe(JSON.stringify(history));
});

test('it is a studio: firings in three kilns, hundreds of pieces, one climbing, one cooling, one half written up', () => {
  expect(history.firings.length).toBeGreaterThanOrEqual(30);
  expect(new Set(history.firings.map((firing) => firing.kiln))).toEqual(new Set(['marta', 'pip', 'gable']));
  expect(history.pieces.length).toBeGreaterThanOrEqual(600);
  expect(
    history.firings.filter((firing) => firing.status === 'firing' && firing.pieces.length > 5),
  ).toHaveLength(1);
  expect(
    history.firings.filter((firing) => firing.status === 'cooling' && firing.pieces.length > 5),
  ).toHaveLength(1);
  const half = history.firings.filter((firing) => firing.status === 'opened' && !firing.writtenUp);
  expect(half).toHaveLength(1);
  const written = new Set(
    history.observations.filter((one) => one.firingId === half[0]!.id).map((one) => one.pieceId),
  ).size;
  expect(written).toBeGreaterThan(0);
  expect(written).toBeLessThan(half[0]!.pieces.length);
});

test('no piece is glaze-fired before it was bisqued', () => {
  const bisqued = new Map(
    history.firings
      .filter((firing) => firing.kind === 'bisque')
      .flatMap((firing) => firing.pieces.map(({ piece }) => [piece.id, firing.at] as const)),
  );
  expect(bisqued.size).toBeGreaterThan(300);
  for (const firing of history.firings.filter((one) => one.kind !== 'bisque')) {
    for (const { piece } of firing.pieces) {
      const at = bisqued.get(piece.id);
      if (at !== undefined) expect(at.getTime()).toBeLessThan(firing.at.getTime());
    }
  }
});

test('its stories are in it', () => {
  const signs = (body: string, slug: string, version: number) =>
    history.observations
      .filter((one) => one.zone !== null || one.signs.length > 0)
      .filter((one) =>
        history.pieces.some(
          (piece) =>
            piece.id === one.pieceId &&
            piece.spec.body === body &&
            piece.done.some((layer) => layer.coat.slug === slug && layer.coat.version === version),
        ),
      )
      .flatMap((one) => one.signs.map((sign) => sign.sign));
  expect(signs('eider', 'foxglove', 1)).toContain('crazing');
  expect(signs('eider', 'foxglove', 3)).not.toContain('crazing');
  const all = new Set(history.observations.flatMap((one) => one.signs.map((sign) => sign.sign)));
  for (const sign of ['pit', 'blister', 'lifting', 'blush', 'off-colour', 'running', 'crater'])
    expect(all).toContain(sign);
});

test('pictures differ as the records do, and are tiles on a grey table', () => {
  const [a, b] = [paint(history.scenes[0]!.scene), paint(history.scenes[200]!.scene)];
  expect(a).toHaveLength(WIDTH * HEIGHT * 3);
  expect(Buffer.from(a).equals(Buffer.from(b))).toBe(false);
  expect(Buffer.from(paint(history.scenes[0]!.scene)).equals(Buffer.from(a))).toBe(true);
  const corner = [a[0]!, a[1]!, a[2]!];
  expect(Math.max(...corner) - Math.min(...corner)).toBe(0);
});
