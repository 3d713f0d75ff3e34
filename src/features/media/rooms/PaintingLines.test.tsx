import { screen, show } from '../../../../test-support/dom';

const { Lines } = await import('@/ui/Lines');
const { paintingLines } = await import('./PaintingLines');

test('the Bench says how far the demo’s pictures have come, and nothing when they are all there', () => {
  expect(paintingLines(null)).toEqual([]);
  show(<Lines>{paintingLines({ now: '2026-11-01T10:00:00Z', done: 120, all: 603 })}</Lines>);
  expect(screen.getByRole('listitem').textContent).toMatch(
    /^120of 603 pictures of the demo are painted.*pieces are drawn/,
  );
});

test('before the first is counted it does not say of how many', () => {
  show(<Lines>{paintingLines({ now: '2026-11-01T10:00:00Z', done: 0, all: 0 })}</Lines>);
  expect(screen.getByRole('listitem').textContent).toMatch(/^0of the pictures of the demo/);
});
