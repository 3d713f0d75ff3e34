'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { ASKS, DESIGNS, designOf, type Ask, type DesignKind } from '@/core/designs';

/** Begins with what is asked and proposes the designs that can answer it; every other one is a touch away. */
export function AskFirst({
  asked,
  kind,
  onAsk,
  onDesign,
}: {
  asked: Ask;
  kind: DesignKind;
  onAsk: (ask: Ask) => void;
  onDesign: (kind: DesignKind) => void;
}) {
  const [all, setAll] = useState(!asked.designs.includes(kind));
  const offered = all ? DESIGNS.map((one) => one.kind) : asked.designs;
  return (
    <>
      <ToggleButtonGroup
        exclusive
        value={asked.ask}
        aria-label="What is asked"
        onChange={(_, ask: string | null) => {
          const next = ASKS.find((one) => one.ask === ask);
          if (next === undefined) return;
          setAll(false);
          onAsk(next);
        }}
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
          mb: 2,
          '& button': { justifyContent: 'flex-start', textAlign: 'left', minHeight: 44, py: 0.5 },
        }}
      >
        {ASKS.map(({ ask }) => (
          <ToggleButton key={ask} value={ask}>
            {ask}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Typography sx={{ fontWeight: 650 }}>
        {all ? 'Any design' : 'What can answer it'}: {designOf(kind).name.toLowerCase()}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 2 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={kind}
          aria-label="Design"
          onChange={(_, next: DesignKind | null) => next && onDesign(next)}
          sx={{ flexWrap: 'wrap' }}
        >
          {offered.map((one) => (
            <ToggleButton key={one} value={one} sx={{ minHeight: 38, py: 0.25 }}>
              {designOf(one).name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {!all && (
          <Button size="small" onClick={() => setAll(true)}>
            Another design …
          </Button>
        )}
      </Box>
    </>
  );
}
