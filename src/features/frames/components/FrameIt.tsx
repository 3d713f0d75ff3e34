'use client';
import CropFree from '@mui/icons-material/CropFree';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { colourWords, distanceWords, labWords, type Repeats } from '@/core/colour';
import type { Card } from '@/core/sight';
import { describeRegion, parseZoneKey } from '@/core/zones';
import type { FaceZones, FramedPhoto } from '../of-piece';
import { inOrder, many } from '../zone-order';
import { ColourStrip } from './CellColour';

// Heavy, and wanted by few: loaded when it is asked for.
const FrameDialog = dynamic(() => import('./FrameDialog').then((one) => one.FrameDialog), {
  ssr: false,
});

const CropPicture = dynamic(() => import('./CropPicture').then((one) => one.CropPicture), {
  ssr: false,
});

/** Beneath a picture: the colours of its zones, and the way to its frame. */
export function FrameIt({
  photo,
  faces,
  card,
  code,
  edit,
  crop = false,
  repeats,
}: {
  photo: FramedPhoto;
  faces: readonly FaceZones[];
  card: Card | null;
  code: string;
  edit: boolean;
  /** Whoever sees it may cut a part of it away for good. */
  crop?: boolean;
  repeats: Repeats;
}) {
  const [open, setOpen] = useState(false);
  const [cropping, setCropping] = useState(false);
  const known = photo.frames.length > 0;
  return (
    <Box sx={{ width: { xs: 190, sm: many(photo) ? 440 : 190 } }}>
      <Box
        sx={{
          display: 'grid',
          columnGap: 2,
          gridTemplateColumns: { xs: '1fr', sm: many(photo) ? '1fr 1fr' : '1fr' },
        }}
      >
        {inOrder(photo.colours).map((colour) => (
          <Colour key={colour.zone} colour={colour} faces={faces} repeats={repeats} />
        ))}
      </Box>
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
      {crop && (
        <Button size="small" onClick={() => setCropping(true)} sx={{ mt: 0.5 }}>
          Crop for good
        </Button>
      )}
      {cropping && <CropPicture photo={photo} code={code} onClose={() => setCropping(false)} />}
      {open && (
        <FrameDialog photo={photo} faces={faces} card={card} code={code} onClose={() => setOpen(false)} />
      )}
    </Box>
  );
}

/**
 * A zone's colours as a strip by their shares; in numbers only where a grey told them, and how near its kin
 * it came.
 */
function Colour({
  colour: { zone, lab, parts, variegation, byGrey, beside },
  faces,
  repeats,
}: {
  colour: FramedPhoto['colours'][number];
  faces: readonly FaceZones[];
  repeats: Repeats;
}) {
  const place = parseZoneKey(zone);
  const face = faces.length > 1 ? faces.find(({ no }) => no === place?.face)?.label : undefined;
  const where = [face, place && describeRegion(place)].filter(Boolean).join(', ');
  return (
    <Box sx={{ mt: 0.5 }}>
      <ColourStrip parts={parts} />
      <Typography variant="caption" color="text.secondary" component="p">
        {where}: {byGrey ? colourWords(parts) : 'by eye, not measured'}
        {byGrey && ` (${labWords(lab)}${variegation >= 3 ? `, varies by ${variegation.toFixed(0)} ΔE` : ''})`}
        {beside !== null &&
          `; ${beside.distance.toFixed(1)} ΔE from ${beside.pieces === 1 ? 'the other' : `${beside.pieces} others`} of its stack: ${distanceWords(beside.distance, beside.sameFiring ? repeats.within : repeats.between)}`}
      </Typography>
    </Box>
  );
}
