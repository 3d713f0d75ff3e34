'use client';
import Delete from '@mui/icons-material/DeleteOutlined';
import SwapHoriz from '@mui/icons-material/SwapHoriz';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { createContext, memo, useContext } from 'react';
import { amountOf, type EditLine } from '../edit';
import type { RecipeMaterial } from '../recipe';

const grid = {
  display: 'grid',
  gap: 1,
  alignItems: 'center',
  gridTemplateColumns: {
    xs: 'minmax(0,1fr) 92px 44px',
    md: 'minmax(180px,2fr) 72px 72px 96px minmax(72px,1fr) 76px',
  },
} as const;

/** Each line in percent of the base: read by itself, so that one edit does not redraw every line. */
const Shares = createContext<readonly (number | null)[]>([]);

function Share({ at }: { at: number }) {
  const share = useContext(Shares)[at];
  return (
    <Typography variant="body2" color="text.secondary">
      {share === null || share === undefined ? '' : `${share.toFixed(1)} %`}
    </Typography>
  );
}

/** Changes a line, or takes it out with null. */
export type EditOne = (key: number, part: Partial<EditLine> | null) => void;

const Row = memo(function Row({
  line,
  at: i,
  materials,
  most,
  disabled,
  onEdit,
  onSwap,
}: {
  line: EditLine;
  at: number;
  materials: readonly RecipeMaterial[];
  most: number;
  disabled: boolean;
  onEdit: EditOne;
  onSwap: (line: EditLine) => void;
}) {
  const value = amountOf(line);
  const name = materials.find((one) => one.id === line.materialId)?.name ?? `line ${i + 1}`;
  return (
    <Box sx={{ ...grid, borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
      <Autocomplete
        options={materials}
        getOptionLabel={(one) => one.name}
        getOptionKey={(one) => one.id}
        value={materials.find((one) => one.id === line.materialId) ?? null}
        onChange={(_, one) => onEdit(line.key, { materialId: one?.id ?? null })}
        disabled={disabled}
        forcePopupIcon={false}
        disableClearable={line.materialId !== null}
        renderInput={(params) => (
          <TextField
            {...params}
            placeholder="Choose a material"
            slotProps={{
              ...params.slotProps,
              htmlInput: {
                ...params.slotProps.htmlInput,
                'aria-label': `Material ${i + 1}`,
              },
            }}
          />
        )}
      />
      <TextField
        value={line.amount}
        disabled={disabled}
        error={line.amount.trim() !== '' && value === null}
        helperText={line.amount.trim() !== '' && value === null ? 'no amount' : undefined}
        onChange={(event) => onEdit(line.key, { amount: event.target.value })}
        slotProps={{
          htmlInput: {
            inputMode: 'decimal',
            'aria-label': `Amount of ${name}`,
            style: { textAlign: 'right' },
          },
        }}
      />
      <Slider
        size="small"
        min={0}
        max={most}
        step={0.1}
        value={value ?? 0}
        disabled={disabled}
        aria-label={`Drag the amount of ${name}`}
        onChange={(_, next) => onEdit(line.key, { amount: String(next) })}
        sx={{ display: { xs: 'none', md: 'block' } }}
      />
      <Box sx={{ display: { xs: 'none', md: 'flex' }, alignItems: 'center' }}>
        <Checkbox
          checked={line.addition}
          disabled={disabled}
          onChange={(event) => onEdit(line.key, { addition: event.target.checked })}
          slotProps={{ input: { 'aria-label': `${name} is an addition over 100` } }}
        />
        <Share at={i} />
      </Box>
      <TextField
        value={line.supply}
        disabled={disabled}
        onChange={(event) => onEdit(line.key, { supply: event.target.value })}
        slotProps={{ htmlInput: { 'aria-label': `Supply of ${name}`, maxLength: 120 } }}
        sx={{ display: { xs: 'none', md: 'block' } }}
      />
      <Box sx={{ display: 'flex' }}>
        <IconButton
          aria-label={`Swap ${name} for others`}
          disabled={disabled || line.materialId === null || !value}
          onClick={() => onSwap(line)}
          sx={{ display: { xs: 'none', md: 'inline-flex' } }}
        >
          <SwapHoriz />
        </IconButton>
        <IconButton
          aria-label={`Take ${name} out`}
          disabled={disabled}
          onClick={() => onEdit(line.key, null)}
        >
          <Delete />
        </IconButton>
      </Box>
    </Box>
  );
});

/** The lines of a recipe: material, amount (typed or dragged), addition, supply. */
export function RecipeTable({
  lines,
  materials,
  percent,
  disabled,
  onEdit,
  onAdd,
  onSwap,
}: {
  lines: readonly EditLine[];
  materials: readonly RecipeMaterial[];
  /** Each line in percent of the base, as far as it can be reckoned. */
  percent: readonly (number | null)[];
  disabled: boolean;
  onEdit: EditOne;
  onAdd: () => void;
  onSwap: (line: EditLine) => void;
}) {
  const most = Math.max(60, ...lines.map((line) => amountOf(line) ?? 0));
  return (
    <Box>
      <Box sx={{ ...grid, display: { xs: 'none', md: 'grid' }, fontWeight: 650, pb: 0.5 }}>
        <span>Material</span>
        <span>Amount</span>
        <span>Drag it</span>
        <span>Over 100</span>
        <span>Supply</span>
        <span />
      </Box>
      <Shares value={percent}>
        {lines.map((line, i) => (
          <Row
            key={line.key}
            line={line}
            at={i}
            materials={materials}
            most={most}
            disabled={disabled}
            onEdit={onEdit}
            onSwap={onSwap}
          />
        ))}
      </Shares>
      <Button
        variant="outlined"
        size="small"
        disabled={disabled || lines.length >= 40}
        onClick={onAdd}
        sx={{ mt: 1 }}
      >
        Another material
      </Button>
    </Box>
  );
}
