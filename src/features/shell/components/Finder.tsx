'use client';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import InputBase from '@mui/material/InputBase';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { call } from '@/platform/client';
import type { Found } from '../search';

/** One field that finds pieces by code or mark, coatings, pairs, bodies, firings and acts. */
export function Finder({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [found, setFound] = useState<Found[]>([]);
  const [said, setSaid] = useState('Type a code, a mark, a coating, “Tarn over Pitch”, a kiln …');
  const [at, setAt] = useState(0);
  const turn = useRef(0);
  useEffect(() => {
    const mine = ++turn.current;
    const timer = setTimeout(
      () => {
        void call<{ found: Found[]; hint: string | null }>(
          `/api/search?q=${encodeURIComponent(text)}`,
          {},
        ).then((answer) => {
          if (mine !== turn.current) return;
          setFound(answer.ok ? answer.data.found : []);
          setAt(0);
          if (!answer.ok) setSaid(answer.problem.message);
          else if (answer.data.hint !== null) setSaid(answer.data.hint);
          else setSaid(answer.data.found.length === 0 ? 'Nothing of this name.' : '');
        });
      },
      text === '' ? 0 : 120,
    );
    return () => clearTimeout(timer);
  }, [text]);
  const go = (one: Found | undefined): void => {
    if (one === undefined) return;
    onClose();
    router.push(one.href);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      aria-label="Find"
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
    >
      <InputBase
        autoFocus
        fullWidth
        value={text}
        placeholder="Find"
        sx={{ fontSize: '1.3rem', px: 2.5, py: 1.5 }}
        inputProps={{
          'aria-label': 'Find',
          role: 'combobox',
          'aria-expanded': found.length > 0,
          'aria-controls': 'found',
        }}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            setAt((now) =>
              Math.min(
                Math.max(now + (event.key === 'ArrowDown' ? 1 : -1), 0),
                Math.max(found.length - 1, 0),
              ),
            );
          } else if (event.key === 'Enter') go(found[at]);
        }}
      />
      <List
        id="found"
        role="listbox"
        aria-label="Found"
        dense
        sx={{ borderTop: '1px solid', borderColor: 'divider', maxHeight: '60vh', overflow: 'auto' }}
      >
        {found.map((one, i) => (
          <ListItemButton
            key={`${one.href}${one.title}`}
            role="option"
            aria-selected={i === at}
            selected={i === at}
            onClick={() => go(one)}
            sx={{ gap: 2 }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Typography noWrap>{one.title}</Typography>
              {one.detail && (
                <Typography variant="body2" color="text.secondary" noWrap>
                  {one.detail}
                </Typography>
              )}
            </Box>
            <Typography variant="body2" color="text.secondary">
              {one.kind}
            </Typography>
          </ListItemButton>
        ))}
        {said !== '' && (
          <Typography sx={{ px: 2.5, py: 1.5 }} color="text.secondary" role="status">
            {said}
          </Typography>
        )}
      </List>
    </Dialog>
  );
}
