import { person, screen, server, show } from '../../../../test-support/dom';

const { WholeStudio } = await import('./WholeStudio');

test('a whole studio comes in only where nothing is recorded yet, and what came is told', async () => {
  const tables = [
    { table: 'piece', rows: 40, sha256: 'a' },
    { table: 'body', rows: 2, sha256: 'b' },
  ];
  const sent = server(() => ({ ok: true, data: { studio: 'Kiln Lane', tables, pictures: 7 } }));
  const { rerender } = show(<WholeStudio empty={false} />);
  expect(screen.getByRole('link', { name: /whole studio/i }).getAttribute('href')).toBe('/api/whole');
  expect(screen.queryByLabelText('A whole studio')).toBeNull();
  rerender(<WholeStudio empty />);
  const file = new File(['x'], 'whole-studio.tar', { type: 'application/x-tar' });
  await person().upload(screen.getByLabelText('A whole studio'), file);
  const told = await screen.findByRole('status');
  expect(told.textContent).toMatch(/Kiln Lane is here: 42 rows in 2 tables and 7 pictures/);
  expect(sent.map(({ path }) => path)).toEqual(['/api/whole']);
});

test('a file that is refused is told as it is, and can be chosen again', async () => {
  server(() => ({ ok: false, problem: { code: 'invalid', message: 'This file was cut off.' } }));
  show(<WholeStudio empty />);
  const file = new File(['x'], 'half.tar', { type: 'application/x-tar' });
  await person().upload(screen.getByLabelText('A whole studio'), file);
  expect(await screen.findByText('This file was cut off.')).toBeTruthy();
  expect(screen.getByLabelText('A whole studio')).toBeTruthy();
});
