'use client';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';

/** Words to be taken elsewhere; where the browser lends no clipboard, to be marked by hand. */
export function CopyText({ text, label }: { text: string; label: string }) {
  const [copied, setCopied] = useState<boolean | null>(null);
  const copy = async (): Promise<void> => {
    const done = await navigator.clipboard?.writeText(text).then(
      () => true,
      () => false,
    );
    setCopied(done === true);
  };
  return (
    <>
      <Button size="small" variant="outlined" onClick={() => void copy()} sx={{ mt: 0.5 }}>
        {copied === true ? 'Copied' : label}
      </Button>
      {copied === false && (
        <Typography component="pre" sx={{ whiteSpace: 'pre-wrap', userSelect: 'all' }}>
          {text}
        </Typography>
      )}
    </>
  );
}
