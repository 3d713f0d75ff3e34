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
import { parseNumber } from '@/core/units';
import type { RecipeMaterial } from '../recipe';

/** A line as it is typed; the amount stays as typed until it is read. */
export type EditLine = {
  key: number;
  materialId: string | null;
  amount: string;
  addition: boolean;
  supply: string;
};

/** What was typed for an amount: a number, or null when it is none. */
export function amountOf(line: EditLine): number | null {
  const read = parseNumber(line.amount);
  return read.ok && read.value >= 0 ? read.value : null;
}

const grid = {
  display: 'grid',
  gap: 1,
  alignItems: 'center',
  gridTemplateColumns: {
    xs: 'minmax(0,1fr) 92px 44px',
    md: 'minmax(180px,2fr) 72px 72px 96px minmax(72px,1fr) 76px',
  },
} as const;

/** The lines of a recipe: material, amount (typed or dragged), addition, supply. */
export function RecipeTable({
  lines,
  materials,
  percent,
  disabled,
  onChange,
  onSwap,
}: {
  lines: readonly EditLine[];
  materials: readonly RecipeMaterial[];
  /** Each line in percent of the base, as far as it can be reckoned. */
  percent: readonly (number | null)[];
  disabled: boolean;
  onChange: (lines: EditLine[]) => void;
  onSwap: (line: EditLine) => void;
}) {
  const set = (key: number, part: Partial<EditLine>): void =>
    onChange(lines.map((line) => (line.key === key ? { ...line, ...part } : line)));
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
      {lines.map((line, i) => {
        const value = amountOf(line);
        const name = materials.find((one) => one.id === line.materialId)?.name ?? `line ${i + 1}`;
        return (
          <Box
            key={line.key}
            sx={{ ...grid, borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}
          >
            <Autocomplete
              options={materials}
              getOptionLabel={(one) => one.name}
              getOptionKey={(one) => one.id}
              value={materials.find((one) => one.id === line.materialId) ?? null}
              onChange={(_, one) => set(line.key, { materialId: one?.id ?? null })}
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
              onChange={(event) => set(line.key, { amount: event.target.value })}
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
              onChange={(_, next) => set(line.key, { amount: String(next) })}
              sx={{ display: { xs: 'none', md: 'block' } }}
            />
            <Box sx={{ display: { xs: 'none', md: 'flex' }, alignItems: 'center' }}>
              <Checkbox
                checked={line.addition}
                disabled={disabled}
                onChange={(event) => set(line.key, { addition: event.target.checked })}
                slotProps={{ input: { 'aria-label': `${name} is an addition over 100` } }}
              />
              <Typography variant="body2" color="text.secondary">
                {percent[i] === null || percent[i] === undefined
                  ? ''
                  : `${percent[i].toFixed(1)} %`}
              </Typography>
            </Box>
            <TextField
              value={line.supply}
              disabled={disabled}
              onChange={(event) => set(line.key, { supply: event.target.value })}
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
                onClick={() => onChange(lines.filter((one) => one.key !== line.key))}
              >
                <Delete />
              </IconButton>
            </Box>
          </Box>
        );
      })}
      <Button
        variant="outlined"
        size="small"
        disabled={disabled || lines.length >= 40}
        onClick={() =>
          onChange([
            ...lines,
            {
              key: 1 + Math.max(0, ...lines.map((line) => line.key)),
              materialId: null,
              amount: '',
              addition: false,
              supply: '',
            },
          ])
        }
        sx={{ mt: 1 }}
      >
        Another material
      </Button>
    </Box>
  );
}
