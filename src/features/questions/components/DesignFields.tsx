'use client';
import { FieldGrid } from '@/ui/FieldGrid';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { AskChoices } from '../queries';
import type { DesignInput } from '../contracts';
import { Pick, PickSeveral, Count, Steps } from './design-inputs';

const LETTERS = ['A', 'B', 'C', 'D'];

/** The fields that belong to one kind of design. */
export function DesignFields({
  design,
  choices,
  onChange,
}: {
  design: DesignInput;
  choices: AskChoices;
  onChange: (design: DesignInput) => void;
}) {
  const coatings = choices.coatings.map(({ id, name }) => ({ id, name }));
  const mixable = choices.coatings.map(({ id, name, recipe }) => ({
    id,
    name: recipe ? name : `${name} (no recipe yet)`,
  }));
  const set = (part: object): void => onChange({ ...design, ...part } as DesignInput);
  return (
    <FieldGrid wide={2} sx={{ alignItems: 'start' }}>
      {'coating' in design && (
        <Pick
          label="Coating"
          value={design.coating}
          choices={coatings}
          onChange={(coating) => set({ coating })}
        />
      )}
      {'base' in design && (
        <Pick
          label="Recipe to start from"
          value={design.base}
          choices={mixable}
          onChange={(base) => set({ base })}
        />
      )}
      {'glaze' in design && (
        <Pick
          label="Glaze"
          value={design.glaze}
          choices={mixable}
          onChange={(glaze) => set({ glaze })}
        />
      )}
      {'corners' in design &&
        design.corners.map((corner, i) => (
          <Pick
            key={i}
            label={`Corner ${LETTERS[i]}`}
            value={corner}
            choices={mixable}
            onChange={(id) =>
              set({ corners: design.corners.map((old, at) => (at === i ? id : old)) })
            }
          />
        ))}
      {'stack' in design && (
        <PickSeveral
          label="Coatings, first on first"
          value={design.stack}
          choices={coatings}
          onChange={(stack) => set({ stack })}
        />
      )}
      {'coatings' in design && (
        <PickSeveral
          label="Coatings"
          value={design.coatings}
          choices={coatings}
          onChange={(next) => set({ coatings: next })}
        />
      )}
      {'bases' in design && (
        <>
          <PickSeveral
            label="Bases, on first"
            value={design.bases}
            choices={coatings}
            onChange={(bases) => set({ bases })}
          />
          <PickSeveral
            label="Overs, on top"
            value={design.overs}
            choices={coatings}
            onChange={(overs) => set({ overs })}
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={design.both}
                onChange={(event) => set({ both: event.target.checked })}
              />
            }
            label="Both ways round"
          />
        </>
      )}
      {'stacks' in design &&
        [...design.stacks, []].map((stack, i) => (
          <PickSeveral
            key={i}
            label={
              i < design.stacks.length
                ? `Stack ${i + 1}, first on first`
                : 'Another stack, first on first'
            }
            value={stack}
            choices={coatings}
            onChange={(next) =>
              set({
                stacks: [...design.stacks.slice(0, i), next, ...design.stacks.slice(i + 1)].filter(
                  (one) => one.length > 0,
                ),
              })
            }
          />
        ))}
      {'coats' in design && (
        <Steps label="Coats" value={design.coats} onChange={(coats) => set({ coats })} />
      )}
      {'seconds' in design && (
        <Steps
          label="Seconds in the bucket"
          value={design.seconds}
          onChange={(seconds) => set({ seconds })}
        />
      )}
      {'most' in design && (
        <Count
          label="Coats at the foot"
          value={design.most}
          min={2}
          max={6}
          onChange={(most) => set({ most })}
        />
      )}
      {'points' in design && (
        <Count
          label="Steps"
          value={design.points}
          min={3}
          max={21}
          onChange={(points) => set({ points })}
        />
      )}
      {design.kind === 'triaxial' && (
        <Count
          label="Steps a side"
          value={design.steps}
          min={2}
          max={10}
          onChange={(steps) => set({ steps })}
        />
      )}
      {'rows' in design && (
        <>
          <Count
            label="Rows"
            value={design.rows}
            min={2}
            max={10}
            onChange={(rows) => set({ rows })}
          />
          <Count
            label="Columns"
            value={design.columns}
            min={2}
            max={10}
            onChange={(columns) => set({ columns })}
          />
        </>
      )}
      {'material' in design && (
        <Pick
          label="What is stepped up"
          value={design.material}
          choices={choices.materials}
          onChange={(material) => set({ material })}
        />
      )}
      {'percents' in design && (
        <Steps
          label={design.kind === 'body and glaze' ? 'Glaze in the clay, %' : 'Percent of the base'}
          value={design.percents}
          onChange={(percents) => set({ percents })}
        />
      )}
      {design.kind === 'crazing' && (
        <>
          <Count
            label="Steps"
            value={design.steps}
            min={1}
            max={8}
            onChange={(steps) => set({ steps })}
          />
          <Pick
            label="Silica"
            value={design.silica}
            choices={choices.materials}
            onChange={(silica) => set({ silica })}
          />
          <Pick
            label="Kaolin"
            value={design.kaolin}
            choices={choices.materials}
            onChange={(kaolin) => set({ kaolin })}
          />
        </>
      )}
    </FieldGrid>
  );
}
