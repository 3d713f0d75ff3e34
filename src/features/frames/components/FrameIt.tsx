'use client';
import CropFree from '@mui/icons-material/CropFree';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { hexOf } from '@/core/colour';
import type { Card } from '@/core/sight';
import { describeRegion, parseZoneKey } from '@/core/zones';
import type { FaceZones, FramedPhoto } from '../of-piece';

// Heavy, and wanted by few: loaded when it is asked for.
const FrameDialog = dynamic(() => import('./FrameDialog').then((one) => one.FrameDialog), {
  ssr: false,
});

/** Beneath a picture: the colours of its zones, and the way to its frame. */
export function FrameIt({
  photo,
  faces,
  card,
  code,
  edit,
}: {
  photo: FramedPhoto;
  faces: readonly FaceZones[];
  card: Card | null;
  code: string;
  edit: boolean;
}) {
  const [open, setOpen] = useState(false);
  const known = photo.frames.length > 0;
  return (
    <Box sx={{ width: 150 }}>
      {inOrder(photo.colours).map((colour) => (
        <Colour key={colour.zone} colour={colour} faces={faces} />
      ))}
      {edit && faces.length > 0 && (
        <Button
          size="small"
          variant={known ? 'text' : 'outlined'}
          startIcon={<CropFree aria-hidden />}
          onClick={() => setOpen(true)}
          sx={{ mt: 0.5 }}
        >
          {known ? 'Its frame' : 'Frame it'}
        </Button>
      )}
      {open && (
        <FrameDialog
          photo={photo}
          faces={faces}
          card={card}
          code={code}
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}

/** As the piece stands: face by face, from the rim down. */
const inOrder = (colours: FramedPhoto['colours']): FramedPhoto['colours'] =>
  colours
    .map((colour) => ({ colour, at: parseZoneKey(colour.zone) }))
    .sort(
      (a, b) =>
        (a.at?.face ?? 0) - (b.at?.face ?? 0) ||
        (b.at?.stretch.from ?? 0) - (a.at?.stretch.from ?? 0),
    ) // prettier-ignore
    .map(({ colour }) => colour);

/** A zone's colours as a strip by their shares; in numbers only where a grey told them. */
function Colour({
  colour: { zone, lab, parts, variegation, byGrey },
  faces,
}: {
  colour: FramedPhoto['colours'][number];
  faces: readonly FaceZones[];
}) {
  const place = parseZoneKey(zone);
  const face = faces.length > 1 ? faces.find(({ no }) => no === place?.face)?.label : undefined;
  const where = [face, place && describeRegion(place)].filter(Boolean).join(', ');
  const numbers = `L* ${lab[0].toFixed(0)} a* ${lab[1].toFixed(0)} b* ${lab[2].toFixed(0)}`;
  return (
    <Box sx={{ mt: 0.5 }}>
      <Box sx={{ display: 'flex', height: 16, border: '1px solid', borderColor: 'divider' }}>
        {parts.map((part, i) => (
          <Box key={i} sx={{ flexGrow: part.share, bgcolor: hexOf(part.lab) }} />
        ))}
      </Box>
      <Typography variant="caption" color="text.secondary" component="p">
        {where}:{' '}
        {byGrey
          ? `${numbers}${variegation >= 3 ? `, varies by ${variegation.toFixed(0)} ΔE` : ''}`
          : 'by eye, not measured'}
      </Typography>
    </Box>
  );
}
