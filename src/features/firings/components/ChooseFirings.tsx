'use client';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';

/** The two firings of a comparison; the choice is in the address. */
export function ChooseFirings({
  a,
  b,
  firings,
}: {
  a: string;
  b: string;
  firings: readonly { id: string; label: string }[];
}) {
  const router = useRouter();
  const go = (change: { a?: string; b?: string }): void =>
    router.replace(
      `/kilns/compare?${new URLSearchParams({ a, b, ...change } as Record<string, string>).toString()}`,
    );
  return (
    <Stack direction={{ xs: 'column', sm: 'row' }} spacing={2} sx={{ mb: 3, maxWidth: 900 }}>
      {(
        [
          ['a', 'One', a],
          ['b', 'The other', b],
        ] as const
      ).map(([key, label, value]) => (
        <TextField
          key={key}
          select
          label={label}
          value={value}
          onChange={(event) => go({ [key]: event.target.value })}
        >
          {firings.map((firing) => (
            <MenuItem key={firing.id} value={firing.id}>
              {firing.label}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </Stack>
  );
}
