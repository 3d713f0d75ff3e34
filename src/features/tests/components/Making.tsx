'use client';
import Box from '@mui/material/Box';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { FormProvider, type FieldValues } from 'react-hook-form';
import type { ContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { MadeCodes } from './MadeCodes';

/** How tiles begin. */
export const tileStart = (today: string) => ({
  form: 'L tile',
  heightMm: 90,
  madeOn: today,
  notes: '',
  waitingFor: 'glaze' as const,
  wantedCone: '6',
  wantedAtmosphere: 'oxidation' as const,
  faces: [
    { no: 1, kind: 'bare' as const, slipVersionId: null },
    { no: 2, kind: 'light-slip' as const, slipVersionId: null },
  ],
});

/** The codes of what was made, once it was; null before. */
export const useMade = () => useState<string[] | null>(null);

/** What makes pieces: the form beside what it would make, and then the codes to scratch in. */
export function Making<V extends FieldValues>({
  form,
  act,
  made: [made, setMade],
  fired,
  beside,
  children,
}: {
  form: ContractForm<V>;
  act: string;
  made: ReturnType<typeof useMade>;
  /** What is made waits for its glaze firing: it has been through a bisque. */
  fired: boolean;
  beside: ReactNode;
  children: ReactNode;
}) {
  const router = useRouter();
  if (made !== null)
    return (
      <MadeCodes
        codes={made}
        fired={fired}
        onMore={() => setMade(null)}
        onList={() => router.push('/tests')}
      />
    );
  return (
    <FormProvider {...form}>
      <Box
        sx={{
          display: 'grid',
          gap: 4,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0,1fr) 320px' },
        }}
      >
        <FormShell form={form} act={act} sx={{}}>
          {children}
        </FormShell>
        {beside}
      </Box>
    </FormProvider>
  );
}
