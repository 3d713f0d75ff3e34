import { fireEvent, waitFor } from '@testing-library/react';
import { person, router, screen, server, show } from '../../../../test-support/dom';

const { PictureDrop } = await import('./PictureDrop');

const files = (count: number) =>
  Array.from({ length: count }, (_, i) => new File(['x'], `tile-${i + 1}.jpg`, { type: 'image/jpeg' }));
const drop = (list: File[]) =>
  fireEvent.change(screen.getByLabelText('Take or choose a picture'), { target: { files: list } });

test('a hundred dropped while the network is gone are all there to be sent again; none is sent twice that was kept', async () => {
  let there = false;
  let taken = 0;
  server(() => {
    if (!there && taken++ !== 2) return { ok: false, problem: { code: 'offline', message: 'No network.' } };
    return { ok: true, data: { id: 'a', sha: 'b', added: true } };
  });
  show(<PictureDrop pieceId="p" firingId={null} />);
  drop(files(100));
  // The third arrived.
  await screen.findByText(/^99 pictures were not kept: No network\./, {}, { timeout: 10_000 });
  there = true;
  const sent = server(() => ({ ok: true, data: { id: 'a', sha: 'b', added: true } }));
  await person().click(screen.getByRole('button', { name: 'Send them again' }));
  await waitFor(() => expect(sent).toHaveLength(99), { timeout: 10_000 });
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  expect(router.refresh).toHaveBeenCalled();
}, 30_000);

test('one that failed is named with why, and waits while another is taken', async () => {
  let ok = false;
  server(() =>
    ok
      ? { ok: true, data: { id: 'a', sha: 'b', added: true } }
      : { ok: false, problem: { code: 'refused', message: 'The file is empty.' } },
  );
  show(<PictureDrop pieceId="p" firingId={null} />);
  drop(files(1));
  await screen.findByText(/tile-1\.jpg: The file is empty\./);
  ok = true;
  drop(files(3).slice(2));
  await waitFor(() => expect(screen.getByText('Take or drop a picture')).toBeTruthy());
  expect(screen.getByRole('button', { name: 'Send it again' })).toBeTruthy();
});
