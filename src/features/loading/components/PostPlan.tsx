'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState, type KeyboardEvent, type MouseEvent } from 'react';
import { POST_MM, postsOf, type Post, type Shelf } from '@/core/load';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { setPosts } from '../../kilns/contracts';
import { scaleOf, shelfFrame, touched } from './shelf-frame';

const STEP_MM = 5;
const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-STEP_MM, 0],
  ArrowRight: [STEP_MM, 0],
  ArrowUp: [0, STEP_MM],
  ArrowDown: [0, -STEP_MM],
};

/** Where the posts of a kiln stand: touched and set down, or moved by the arrow keys. */
export function PostPlan({ kilnId, shelf }: { kilnId: string; shelf: Shelf }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [open, setOpen] = useState(false);
  const [posts, setOwn] = useState<Post[]>([...postsOf(shelf)]);
  const [held, setHeld] = useState<number | null>(null);
  const scale = scaleOf(shelf);
  const within = ({ xMm, yMm }: Post): Post => {
    const [w, d] = [(shelf.widthMm - POST_MM) / 2, (shelf.depthMm - POST_MM) / 2];
    return { xMm: Math.min(w, Math.max(-w, xMm)), yMm: Math.min(d, Math.max(-d, yMm)) };
  };
  const move = (i: number, to: Post): void =>
    setOwn((now) => now.map((post, at) => (at === i ? within(to) : post)));
  const setDown = (event: MouseEvent<HTMLElement>): void => {
    if (held === null) return;
    move(held, touched(event, event.currentTarget, shelf));
    setHeld(null);
  };
  const keep = async (kept: Post[] | null): Promise<void> => {
    const answer = await act(setPosts, {
      kilnId,
      posts: kept,
      before: shelf.posts === undefined ? null : [...shelf.posts],
    });
    if (!answer.ok) return;
    setOpen(false);
    say(kept === null ? 'The posts stand at their usual places' : 'Posts moved', answer.undo);
    router.refresh();
  };
  return (
    <>
      <Button onClick={() => (setOwn([...postsOf(shelf)]), setOpen(true))}>Move the posts</Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <DialogTitle>Where the posts stand</DialogTitle>
        <DialogContent>
          <Typography sx={{ mb: 1.5 }}>
            Touch a post, then the place it goes to; or move it by the arrow keys. The front is below.
          </Typography>
          <Box onClick={setDown} role="group" aria-label="Shelf with its posts" sx={shelfFrame(shelf)}>
            {posts.map((post, i) => (
              <Box
                key={i}
                component="button"
                type="button"
                aria-label={`Post ${i + 1}, ${post.xMm} mm across, ${post.yMm} mm deep`}
                aria-pressed={held === i}
                onClick={(event: MouseEvent) => {
                  event.stopPropagation();
                  setHeld(held === i ? null : i);
                }}
                onKeyDown={(event: KeyboardEvent) => {
                  const step = KEYS[event.key];
                  if (step === undefined) return;
                  event.preventDefault();
                  move(i, { xMm: post.xMm + step[0], yMm: post.yMm + step[1] });
                }}
                sx={{
                  all: 'unset',
                  position: 'absolute',
                  left: (post.xMm + shelf.widthMm / 2 - POST_MM / 2) * scale,
                  top: (shelf.depthMm / 2 - post.yMm - POST_MM / 2) * scale,
                  width: POST_MM * scale,
                  height: POST_MM * scale,
                  bgcolor: held === i ? 'primary.main' : 'text.primary',
                  cursor: 'pointer',
                  '&:focus-visible': { outline: '3px solid', outlineOffset: 2 },
                }}
              />
            ))}
          </Box>
          <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
            <Button
              disabled={posts.length >= 6}
              onClick={() => setOwn((now) => [...now, { xMm: 0, yMm: 0 }])}
            >
              Another post
            </Button>
            <Button
              disabled={held === null || posts.length <= 1}
              onClick={() => {
                setOwn((now) => now.filter((_, i) => i !== held));
                setHeld(null);
              }}
            >
              Leave it out
            </Button>
          </Box>
          <ProblemNote>{problem}</ProblemNote>
        </DialogContent>
        <DialogActions>
          <Button disabled={busy} onClick={() => void keep(null)}>
            Usual places
          </Button>
          <Button variant="contained" disabled={busy} onClick={() => void keep(posts)}>
            Keep
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
