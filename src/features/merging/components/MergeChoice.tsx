'use client';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useRouter } from 'next/navigation';
import { mergeAddress, type Asked } from '../address';
import { KINDS, type Kind } from '../contracts';

export type Entry = { id: string; name: string };

export const KIND_WORDS: Readonly<Record<Kind, string>> = {
  body: 'Bodies',
  coating: 'Coatings',
  kiln: 'Kilns',
  person: 'People',
};

/** Which two are one. Each choice is in the address, and what it would change is read there. */
export function MergeChoice({
  asked,
  entries,
  versions,
}: {
  asked: Asked;
  entries: readonly Entry[];
  /** Of the coating that stays; empty for other kinds. */
  versions: readonly { id: string; no: number }[];
}) {
  const router = useRouter();
  const go = (change: Partial<Asked>): void =>
    router.replace(mergeAddress({ ...asked, ...change }), { scroll: false });
  const list = (label: string, field: 'from' | 'into', other: string) => (
    <TextField
      select
      label={label}
      value={asked[field]}
      onChange={(event) => go({ [field]: event.target.value, version: '' })}
      sx={{ flex: 1, minWidth: 200 }}
    >
      <MenuItem value="">
        <em>Choose</em>
      </MenuItem>
      {entries
        .filter(({ id }) => id !== other)
        .map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
    </TextField>
  );
  return (
    <Stack spacing={2} sx={{ maxWidth: 760 }}>
      <ToggleButtonGroup
        exclusive
        value={asked.kind}
        aria-label="What is there twice"
        onChange={(_, kind: Kind | null) => {
          if (kind !== null) go({ kind, from: '', into: '', version: '' });
        }}
      >
        {KINDS.map((kind) => (
          <ToggleButton key={kind} value={kind}>
            {KIND_WORDS[kind]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Stack direction={{ xs: 'column', sm: 'row' }} spacing={2}>
        {list('The double', 'from', asked.into)}
        {list('is really', 'into', asked.from)}
      </Stack>
      {versions.length > 0 && asked.from !== '' && (
        <TextField
          select
          label="What was put on of the double counts as"
          value={asked.version}
          onChange={(event) => go({ version: event.target.value })}
        >
          {versions.map(({ id, no }) => (
            <MenuItem key={id} value={id}>
              version {no}
            </MenuItem>
          ))}
          <MenuItem value="own">further versions of its own</MenuItem>
        </TextField>
      )}
    </Stack>
  );
}
