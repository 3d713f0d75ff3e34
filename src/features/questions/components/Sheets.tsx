'use client';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Caution } from '@/ui/Caution';
import { TickList } from '@/features/ticks';
import type { Sheet } from '../sheet';

const TABS: Record<Sheet['key'], string> = {
  weigh: 'Weigh out',
  cups: 'Cups by volume',
  glaze: 'Glazing order',
  labels: 'Labels',
};

/** The sheets of a question: big rows to tick off here, or all of them on paper. */
export function Sheets({ no, sheets }: { no: number; sheets: readonly Sheet[] }) {
  const [open, setOpen] = useState(0);
  const sheet = sheets[open];
  if (sheet === undefined) return null;
  return (
    <>
      <Tabs
        value={open}
        onChange={(_, next: number) => setOpen(next)}
        variant="scrollable"
        scrollButtons={false}
        aria-label="Sheets"
        sx={{ mb: 1 }}
      >
        {sheets.map(({ key }) => (
          <Tab key={key} label={TABS[key]} id={`sheet-${key}`} aria-controls="sheet" />
        ))}
      </Tabs>
      <div role="tabpanel" id="sheet" aria-labelledby={`sheet-${sheet.key}`}>
        <Typography variant="h3">{sheet.title}</Typography>
        <Typography sx={{ maxWidth: 760 }}>{sheet.lead}</Typography>
        {sheet.cautions.map((text) => (
          <Caution key={text} brief>
            {text}
          </Caution>
        ))}
        <TickList id={`sheet/${no}/${sheet.key}`} columns={sheet.columns} groups={sheet.groups} />
      </div>
      <Button href={`/api/sheets/${no}`} target="_blank" variant="contained">
        All sheets as PDF
      </Button>{' '}
      <Button href={`/api/sheets/${no}?sheet=${sheet.key}`} target="_blank" variant="outlined">
        Only this one
      </Button>
    </>
  );
}
