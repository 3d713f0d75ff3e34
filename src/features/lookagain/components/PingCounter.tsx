'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';

const SPAN_S = 60;

/**
 * Counts pings over a minute: the first touch begins it, each ping is one more touch. Ended early it is
 * reckoned up to a minute, if half of one was listened to.
 */
export function PingCounter({
  pings,
  onPings,
}: {
  pings: number | null;
  onPings: (pings: number | null) => void;
}) {
  const [begun, setBegun] = useState<{ at: number; heard: number } | null>(null);
  const [left, setLeft] = useState(SPAN_S);
  useEffect(() => {
    if (begun === null) return;
    const timer = setInterval(() => {
      const gone = (Date.now() - begun.at) / 1000;
      setLeft(Math.max(0, Math.round(SPAN_S - gone)));
      if (gone < SPAN_S) return;
      onPings(begun.heard);
      setBegun(null);
    }, 250);
    return () => clearInterval(timer);
  }, [begun, onPings]);
  const end = (): void => {
    if (begun === null) return;
    const gone = (Date.now() - begun.at) / 1000;
    if (gone >= SPAN_S / 2) onPings(Math.round((begun.heard * SPAN_S) / gone));
    setBegun(null);
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
      {begun === null ? (
        <>
          <Button
            variant="outlined"
            onClick={() => {
              setLeft(SPAN_S);
              setBegun({ at: Date.now(), heard: 0 });
            }}
            sx={{ minHeight: 56 }}
          >
            Listen for a minute
          </Button>
          {pings !== null && (
            <Typography aria-live="polite">
              {pings} a minute{' '}
              <Button size="small" onClick={() => onPings(null)}>
                Not heard
              </Button>
            </Typography>
          )}
        </>
      ) : (
        <>
          <Button
            variant="contained"
            onClick={() => setBegun({ ...begun, heard: begun.heard + 1 })}
            sx={{ minHeight: 72, minWidth: 150, fontSize: '1.2rem' }}
          >
            Ping: {begun.heard}
          </Button>
          <Typography>{left} s to listen</Typography>
          <Button onClick={end}>Enough</Button>
        </>
      )}
    </Box>
  );
}
