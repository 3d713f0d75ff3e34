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
import Chip from '@mui/material/Chip';
import { ZonePicture } from '@/ui/ZonePicture';
import type { Answer, Found, FoundChip } from '../search';

/** One field that answers: codes, names, what glazes show, questions, firings, notes and acts. */
export function Finder({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [found, setFound] = useState<Found[]>([]);
  const [chips, setChips] = useState<FoundChip[]>([]);
  const [said, setSaid] = useState(
    'A code, a mark, a name, or what it shows: “satin black cone 6”, “crazing on Eider”, “no runs” …',
  );
  const [at, setAt] = useState(0);
  const turn = useRef(0);
  useEffect(() => {
    const mine = ++turn.current;
    const timer = setTimeout(
      () => {
        void call<Answer>(`/api/search?q=${encodeURIComponent(text)}`, {}).then((answer) => {
          if (mine !== turn.current) return;
          setFound(answer.ok ? answer.data.found : []);
          setChips(answer.ok ? answer.data.chips : []);
          setAt(0);
          if (!answer.ok) setSaid(answer.problem.message);
          else if (answer.data.hint !== null) setSaid(answer.data.hint);
          else setSaid(answer.data.found.length === 0 ? 'Nothing like that on record.' : '');
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
      {chips.length > 0 && (
        <Box
          role="group"
          aria-label="Understood"
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, px: 2.5, pb: 1.5 }}
        >
          {chips.map(({ name, rest }) => (
            <Chip
              key={name}
              label={name}
              size="small"
              onDelete={() => setText(rest)}
              aria-label={`Take ${name} off`}
            />
          ))}
        </Box>
      )}
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
            {one.photo && (
              <ZonePicture
                sha={one.photo}
                cut={one.cut ?? null}
                alt=""
                sx={{ width: 36, height: 48, flexShrink: 0 }}
              />
            )}
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Typography noWrap>{one.title}</Typography>
              {one.detail && (
                <Typography
                  variant="body2"
                  color="text.secondary"
                  noWrap
                  sx={{ whiteSpace: { xs: 'normal', sm: 'nowrap' } }}
                >
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
