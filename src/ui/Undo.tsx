'use client';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';

type Message = { key: number; text: string; undo?: () => void };
type Say = (text: string, undo?: () => void) => void;

const Context = createContext<Say>(() => {});

/** Says what was done, with its undo where there is one. */
export const useSay = (): Say => useContext(Context);

export function Undo({ children }: { children: ReactNode }) {
  const [message, setMessage] = useState<Message | null>(null);
  const say = useMemo<Say>(() => (text, undo) => setMessage({ key: Date.now(), text, undo }), []);
  return (
    <Context value={say}>
      {children}
      <Snackbar
        key={message?.key}
        open={message !== null}
        autoHideDuration={8000}
        onClose={(_, reason) => reason !== 'clickaway' && setMessage(null)}
        message={message?.text}
        action={
          message?.undo && (
            <Button
              color="inherit"
              size="small"
              onClick={() => {
                message.undo?.();
                setMessage(null);
              }}
            >
              Undo
            </Button>
          )
        }
      />
    </Context>
  );
}
