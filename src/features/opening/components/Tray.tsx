'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useEffectEvent, useState } from 'react';
import { count } from '@/core/units';
import { Nothing } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import type { RoomPiece } from '../room';
import type { OpeningTray } from '../useOpeningTray';
import { TrayThumb } from './TrayThumb';

/**
 * Pictures in the order of taking, and three ways to say of what they are: by touch, by the plan, one by one.
 */
export function Tray({ tray, pieces }: { tray: OpeningTray; pieces: readonly RoomPiece[] }) {
  const say = useSay();
  const [from, setFrom] = useState('');
  if (tray.items.length === 0)
    return (
      <Nothing>
        Nothing lies here. Take pictures or speak now and say later of what it is: here it waits, in the order
        of taking, on this device.
      </Nothing>
    );
  const chosen = tray.items.filter(({ id }) => tray.chosen.has(id));
  const pairs = tray.inOrder(from === '' ? null : from);
  const [first, last] = [pairs[0]?.piece.code, pairs.at(-1)?.piece.code];
  return (
    <>
      <Typography component="h1" variant="h1">
        {count(tray.items.length, 'thing')} of nobody knows what yet
      </Typography>
      <Typography sx={{ mb: 1 }}>
        {tray.chosen.size === 0
          ? 'Touch one or several, then the piece they are of, in the plan; or drag one onto it.'
          : `Touch the piece ${tray.chosen.size === 1 ? 'this one is' : `these ${tray.chosen.size} are`} of, in the plan.`}
      </Typography>
      <Box
        component="ol"
        aria-label="In the order of taking"
        sx={{
          listStyle: 'none',
          p: 1,
          m: 0,
          display: 'grid',
          gap: 1,
          bgcolor: 'booth.ground',
          gridTemplateColumns: 'repeat(auto-fill, minmax(96px, 1fr))',
        }}
      >
        {tray.items.map((item, i) => (
          <li key={item.id}>
            <TrayThumb
              item={item}
              no={i + 1}
              chosen={tray.chosen.has(item.id)}
              onTouch={() => tray.choose(item.id)}
            />
          </li>
        ))}
      </Box>
      {chosen.length === 1 && chosen[0]!.kind === 'sound' && (
        <Hear key={chosen[0]!.id} load={() => tray.fileOf(chosen[0]!.id)} />
      )}
      {tray.chosen.size > 0 && (
        <Button
          sx={{ minHeight: 56 }}
          onClick={() => {
            const n = tray.chosen.size;
            void tray
              .throwChosen()
              .then((back) => say(`${count(n, 'thing')} thrown away`, () => void back()));
          }}
        >
          Throw {tray.chosen.size === 1 ? 'it' : 'them'} away
        </Button>
      )}
      <Typography variant="h2" sx={{ mt: 2, mb: 1 }}>
        Taken in the order of the plan?
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <TextField
          select
          label="Beginning with"
          value={from}
          onChange={(event) => setFrom(event.target.value)}
          sx={{ minWidth: 180 }}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">the first</MenuItem>
          {pieces.map(({ id, code }) => (
            <MenuItem key={id} value={id}>
              {code}
            </MenuItem>
          ))}
        </TextField>
        <Button
          variant="outlined"
          disabled={pairs.length === 0}
          sx={{ minHeight: 56 }}
          onClick={() =>
            void tray
              .layAll(pairs)
              .then((back) =>
                say(`${count(pairs.length, 'picture')} laid on their pieces`, () => void back()),
              )
          }
        >
          {pairs.length === 0
            ? 'No piece without a picture'
            : `Lay ${count(pairs.length, 'picture')} on ${first === last ? first : `${first} to ${last}`}`}
        </Button>
      </Box>
      <Typography variant="body2">
        One for each piece that has none yet, shelf by shelf from the top.
      </Typography>
    </>
  );
}

/** What was spoken, from this device. */
function Hear({ load }: { load: () => Promise<Blob | null> }) {
  const [url, setUrl] = useState<string | null>(null);
  const start = useEffectEvent(load);
  useEffect(() => {
    let made: string | null = null;
    let gone = false;
    void start().then((blob) => {
      if (gone || blob === null) return;
      made = URL.createObjectURL(blob);
      setUrl(made);
    });
    return () => {
      gone = true;
      if (made !== null) URL.revokeObjectURL(made);
    };
  }, []);
  return url === null ? null : (
    <audio controls src={url} aria-label="The spoken note" style={{ width: '100%' }} />
  );
}
