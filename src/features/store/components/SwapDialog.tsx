'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { swap, type ShelfMaterial, type Swap } from '@/core/chemistry';
import type { RecipeMaterial } from '../recipe';
import { formula } from '../words';

const known = (one: RecipeMaterial): ShelfMaterial | null =>
  one.analysis === null ? null : { name: one.name, analysis: one.analysis };

/** Takes one material out and puts others in at equal oxides. */
export function SwapDialog({
  out,
  amount,
  materials,
  onClose,
  onSwap,
}: {
  out: RecipeMaterial;
  amount: number;
  materials: readonly RecipeMaterial[];
  onClose: () => void;
  onSwap: (found: Swap) => void;
}) {
  const [by, setBy] = useState<RecipeMaterial[]>([]);
  const shelf = by.flatMap((one) => known(one) ?? []);
  const own = known(out);
  const found = own === null || shelf.length === 0 ? null : swap(own, amount, shelf);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>Swap {out.name} for others</DialogTitle>
      <DialogContent>
        {own === null ? (
          <Typography>
            {out.name} has no analysis, so equal oxides cannot be reckoned. Give it one in the store.
          </Typography>
        ) : (
          <Autocomplete
            multiple
            sx={{ mt: 1 }}
            options={materials.filter((one) => one.id !== out.id && one.analysis !== null)}
            getOptionLabel={(one) => one.name}
            value={by}
            onChange={(_, next) => setBy(next)}
            renderInput={(params) => <TextField {...params} label="What may go in instead" />}
          />
        )}
        {found && (
          <>
            {found.amounts.map((one) => (
              <Typography key={one.name} sx={{ mt: 1 }}>
                <b>{one.amount.toFixed(2)}</b> {one.name}
              </Typography>
            ))}
            <Typography color="text.secondary" sx={{ mt: 1 }}>
              {found.off.length === 0
                ? 'The oxides come out the same.'
                : `Not the same: ${found.off
                    .map(
                      ({ oxide, before, after }) => `${formula(oxide)} ${after > before ? 'more' : 'less'}`,
                    )
                    .join(', ')}.`}
            </Typography>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={found === null || found.amounts.length === 0}
          onClick={() => found && onSwap(found)}
        >
          Swap
        </Button>
      </DialogActions>
    </Dialog>
  );
}
