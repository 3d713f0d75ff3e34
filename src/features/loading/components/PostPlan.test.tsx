import { fireEvent } from '@testing-library/react';
import { POST_MM, postsOf } from '@/core/load';
import { person, press, screen, server, show } from '../../../../test-support/dom';

const { PostPlan } = await import('./PostPlan');

const KILN = '0192c7cd-5baa-71a4-a619-90db87e84770';
const SHELF = { shape: 'rectangle' as const, widthMm: 450, depthMm: 450 };
const posts = () => screen.getAllByRole('button', { name: /^Post \d/ });

test('a post is moved by the arrow keys, within its shelf, and kept with the way back', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<PostPlan kilnId={KILN} shelf={SHELF} />);
  await press(hand, 'Move the posts');
  expect(posts()).toHaveLength(3);
  posts()[0]!.focus();
  await hand.keyboard('{ArrowRight}{ArrowRight}{ArrowUp}');
  // Further left than the edge it does not go.
  posts()[1]!.focus();
  await hand.keyboard('{ArrowRight}{ArrowRight}');
  await press(hand, 'Keep');
  await screen.findByText('Posts moved');
  const usual = postsOf(SHELF);
  expect(sent[0]!.body.input).toEqual({
    kilnId: KILN,
    posts: [
      { xMm: usual[0]!.xMm + 10, yMm: usual[0]!.yMm + 5 },
      { xMm: (450 - POST_MM) / 2, yMm: usual[1]!.yMm },
      usual[2],
    ],
    before: null,
  });
  await press(hand, 'Undo');
  expect(sent[1]!.path).toContain('kilns.set-posts-again');
  expect(sent[1]!.body.input).toEqual({ kilnId: KILN, posts: null });
});

test('touched and set down; one more, one less; and back to the usual places', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  const moved = [{ xMm: 0, yMm: 100 }];
  show(<PostPlan kilnId={KILN} shelf={{ ...SHELF, posts: moved }} />);
  await press(hand, 'Move the posts');
  expect(posts()).toHaveLength(1);
  await press(hand, 'Another post');
  await hand.click(posts()[1]!);
  // Drawn 300 wide from the corner of the page: 30 in and 30 down are 45 mm from either edge.
  fireEvent.click(screen.getByRole('group', { name: 'Shelf with its posts' }), {
    clientX: 30,
    clientY: 30,
  });
  expect(posts()[1]!.getAttribute('aria-label')).toBe('Post 2, -180 mm across, 180 mm deep');
  await hand.click(posts()[1]!);
  await press(hand, 'Leave it out');
  expect(posts()).toHaveLength(1);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Leave it out' }).disabled).toBe(true);
  await press(hand, 'Usual places');
  await screen.findByText('The posts stand at their usual places');
  expect(sent[0]!.body.input).toEqual({ kilnId: KILN, posts: null, before: moved });
});
