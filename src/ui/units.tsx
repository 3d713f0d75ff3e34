'use client';
import { createContext, useContext, type ReactNode } from 'react';
import { SI, type Units } from '@/core/units';

const Context = createContext<Units>(SI);

/** The units this studio sees and types in, for everything beneath. */
export function UnitsProvider({ units, children }: { units: Units; children: ReactNode }) {
  return <Context value={units}>{children}</Context>;
}

export const useUnits = (): Units => useContext(Context);
