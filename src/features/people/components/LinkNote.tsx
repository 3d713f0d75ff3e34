'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { toString as qrSvg } from 'qrcode';
import { useEffect, useState, type ReactNode } from 'react';

/** A link to hand on: to copy, or to scan from the screen. */
export function LinkNote({ link, children }: { link: string; children: ReactNode }) {
  const [svg, setSvg] = useState('');
  const [copied, setCopied] = useState(false);
  useEffect(() => {
    void qrSvg(link, { type: 'svg', margin: 1, width: 132 }).then(setSvg);
  }, [link]);
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(link);
    setCopied(true);
  };
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 2,
        flexWrap: 'wrap',
        border: '1px solid',
        borderColor: 'divider',
        p: 2,
        my: 2,
      }}
    >
      <Box
        sx={{ bgcolor: '#fff', lineHeight: 0 }}
        role="img"
        aria-label="QR code of the link"
        dangerouslySetInnerHTML={{ __html: svg }}
      />
      <Box sx={{ flex: '1 1 260px', minWidth: 0 }}>
        <Typography>{children}</Typography>
        <Typography sx={{ overflowWrap: 'anywhere', my: 1 }}>
          <a href={link}>{link}</a>
        </Typography>
        <Button size="small" variant="outlined" onClick={() => void copy()}>
          {copied ? 'Copied' : 'Copy link'}
        </Button>
      </Box>
    </Box>
  );
}
