'use client';
import { DndContext, MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { ReactNode } from 'react';

/**
 * Around what can be dragged: a mouse begins after a few pixels, a finger after a moment, so that both still
 * touch.
 */
export function Dragging({
  onDrop,
  children,
}: {
  onDrop: (dragged: string, onto: string) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 220, tolerance: 8 } }),
  );
  return (
    <DndContext
      sensors={sensors}
      onDragEnd={({ active, over }) => over !== null && onDrop(String(active.id), String(over.id))}
    >
      {children}
    </DndContext>
  );
}
