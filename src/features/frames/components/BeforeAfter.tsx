'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { faceRatio, ontoBox } from '@/core/frame';
import { pictureUrl } from '@/ui/picture-url';
import type { Laid } from '../of-piece';

const WIDTH = 260;

/** Two pictures of one face laid on one another; a slider uncovers the later one. */
export function BeforeAfter({ pictures, face }: { pictures: readonly Laid[]; face: string }) {
  const [ends, setEnds] = useState<readonly [string, string]>([pictures[0]!.id, pictures.at(-1)!.id]);
  const [at, setAt] = useState(50);
  const [before, after] = ends.map((id) => pictures.find((one) => one.id === id) ?? pictures[0]!) as [
    Laid,
    Laid,
  ];
  // Both fill the box of the later one; a plate is round.
  const ratio =
    after.shape.kind === 'ellipse'
      ? 1
      : Math.min(3, Math.max(0.2, faceRatio(after.shape, after.height / after.width)));
  const box = { width: WIDTH, height: Math.round(WIDTH / ratio) };
  const pick = (which: 0 | 1, label: string) => (
    <TextField
      select
      size="small"
      fullWidth={false}
      label={label}
      value={ends[which]}
      onChange={({ target }) => setEnds(which === 0 ? [target.value, ends[1]] : [ends[0], target.value])}
      sx={{ minWidth: 180 }}
    >
      {pictures.map((one) => (
        <MenuItem key={one.id} value={one.id}>
          {one.label}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box sx={{ maxWidth: 420 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
        {pick(0, 'Before')}
        {pick(1, 'After')}
      </Box>
      <Box
        sx={{ position: 'relative', overflow: 'hidden', bgcolor: 'booth.ground', ...box }}
        role="img"
        aria-label={`${face}: ${before.label} and ${after.label}, laid on one another`}
      >
        <Fitted picture={before} box={box} />
        <Box sx={{ position: 'absolute', inset: 0 }} style={{ clipPath: `inset(0 0 0 ${at}%)` }}>
          <Fitted picture={after} box={box} />
        </Box>
        <Box
          sx={{
            position: 'absolute',
            top: 0,
            bottom: 0,
            width: '2px',
            bgcolor: '#fff',
            outline: '1px solid #000',
          }}
          style={{ left: `${at}%` }}
        />
      </Box>
      <Slider
        value={at}
        onChange={(_, value) => setAt(value as number)}
        aria-label="How much of the earlier picture is seen"
        getAriaValueText={(value) => `${value} %`}
        sx={{ width: WIDTH }}
      />
    </Box>
  );
}

/** A picture drawn so that its frame fills the box. */
function Fitted({ picture, box }: { picture: Laid; box: { width: number; height: number } }) {
  const size = { width: 800, height: Math.round((800 * picture.height) / picture.width) };
  return (
    // eslint-disable-next-line @next/next/no-img-element -- drawn by its frame
    <img
      src={pictureUrl(picture.sha, 'large')}
      alt=""
      style={{
        position: 'absolute',
        left: 0,
        top: 0,
        ...size,
        maxWidth: 'none',
        transformOrigin: '0 0',
        transform: `matrix3d(${ontoBox(picture.shape, size, box).join(',')})`,
      }}
    />
  );
}
