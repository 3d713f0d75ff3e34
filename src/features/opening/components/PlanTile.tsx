'use client';
import { useDroppable } from '@dnd-kit/core';
import ButtonBase from '@mui/material/ButtonBase';
import { MONO } from '@/ui/theme';
import type { RoomPiece } from '../room';

/** A piece of the plan: touched it is taken in hand, and pictures of the tray can be dropped on it. */
export function PlanTile({
  piece,
  here,
  done,
  onPick,
}: {
  piece: RoomPiece;
  here: boolean;
  done: boolean;
  onPick: () => void;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: piece.id });
  return (
    <ButtonBase
      ref={setNodeRef}
      onClick={onPick}
      aria-current={here}
      aria-label={`${piece.code}${done ? ', written up' : ''}${piece.flags.length > 0 ? ', flagged' : ''}`}
      sx={{
        minHeight: 44,
        fontFamily: MONO,
        fontWeight: 700,
        fontSize: '0.9rem',
        border: here || isOver ? '3px solid' : '1px solid',
        borderColor: here || isOver ? 'primary.main' : 'divider',
        bgcolor: done ? 'text.primary' : 'background.paper',
        color: done ? 'background.paper' : 'text.primary',
      }}
    >
      {piece.code}
      {piece.flags.length > 0 ? ' ⚑' : ''}
    </ButtonBase>
  );
}
