'use client';
import { useDraggable } from '@dnd-kit/core';
import Mic from '@mui/icons-material/MicOutlined';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { TrayItem } from '@/platform/sender/store';

/**
 * A picture or a sound of the tray: touched it is chosen, dragged it goes onto a piece. Its small picture
 * only is read.
 */
export function TrayThumb({
  item,
  no,
  chosen,
  onTouch,
}: {
  item: TrayItem;
  no: number;
  chosen: boolean;
  onTouch: () => void;
}) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: item.id });
  const [url, setUrl] = useState<string | null>(null);
  const { thumb } = item;
  useEffect(() => {
    if (thumb === null) return;
    const made = URL.createObjectURL(thumb);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- an address that this page made lasts as long as it is shown
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [thumb]);
  const time = new Date(item.at).toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  });
  return (
    <ButtonBase
      ref={setNodeRef}
      {...listeners}
      onClick={onTouch}
      aria-pressed={chosen}
      aria-label={`${item.kind === 'sound' ? 'Spoken note' : 'Picture'} ${no}, taken ${time}`}
      sx={{
        width: '100%',
        aspectRatio: '1',
        flexDirection: 'column',
        outline: chosen ? '4px solid' : 'none',
        outlineColor: 'primary.main',
        color: 'booth.ink',
        touchAction: 'manipulation',
        opacity: isDragging ? 0.8 : 1,
        zIndex: isDragging ? 10 : 'auto',
        transform: transform ? `translate(${transform.x}px, ${transform.y}px) scale(0.7)` : 'none',
      }}
    >
      {item.kind === 'sound' ? (
        <Mic aria-hidden sx={{ fontSize: 44 }} />
      ) : url === null ? (
        <span>{item.fileName}</span>
      ) : (
        // eslint-disable-next-line @next/next/no-img-element -- a picture still on this device
        <img
          src={url}
          alt=""
          draggable={false}
          style={{ width: '100%', height: '100%', objectFit: 'contain' }}
        />
      )}
      <Typography component="span" variant="body2">
        {no}
      </Typography>
    </ButtonBase>
  );
}
