'use client';
import { useEffect, useEffectEvent } from 'react';

const FIELD =
  'input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable], [role=listbox], [role=menu]';

/**
 * Hears single keys while what uses it is shown, outside of fields and open lists.
 * @param heard whether the key meant something here; then the browser does nothing else with it.
 */
export function useKeys(heard: (key: string, event: KeyboardEvent) => boolean): void {
  const press = useEffectEvent((event: KeyboardEvent): void => {
    if (event.altKey || event.metaKey || event.isComposing) return;
    if ((event.target as HTMLElement).closest?.(FIELD)) return;
    if (heard(event.key, event)) event.preventDefault();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => press(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
