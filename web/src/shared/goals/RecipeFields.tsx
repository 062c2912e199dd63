import { Box, Text } from '@chakra-ui/react';
import { NUC_RECIPES, type NucRecipe } from '@incremen/core/records';
import { useApiary } from '../../mirror/hooks.ts';
import { Select } from '../../ui/Select.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { QUEEN_WAYS } from './goalWords.ts';
import common from '../../ui/common.module.css';

/** What a nuc is made of: how it gets its queen, where it goes, and its combs. */
export function RecipeFields({
  recipe,
  onChange,
}: {
  readonly recipe: NucRecipe;
  readonly onChange: (recipe: NucRecipe) => void;
}) {
  const change = (by: Partial<NucRecipe>) => onChange({ ...recipe, ...by });
  const yards = Object.values(useApiary().yard).filter((y) => y.closedOn === null);
  const known = NUC_RECIPES.find((r) => isLike(r.recipe, recipe));
  return (
    <>
      <Select
        label="Queen of a nuc"
        value={recipe.queen}
        options={QUEEN_WAYS}
        onChange={(queen) => change({ queen: queen as NucRecipe['queen'] })}
      />
      <Select
        label="Where nucs go"
        value={recipe.distance}
        options={[
          ['same-yard', 'stays in the yard'],
          ['away', 'goes beyond 3 km (2 miles)'],
        ]}
        onChange={(distance) => change({ distance: distance as NucRecipe['distance'] })}
      />
      {recipe.distance === 'away' && yards.length > 2 && (
        <Select
          label="To which yard"
          value={recipe.toYardId ?? ''}
          options={[['', 'said on arrival'] as const, ...yards.map((y) => [y.id, y.name] as const)]}
          onChange={(id) => {
            const { toYardId: _before, ...rest } = recipe;
            onChange(id === '' ? rest : { ...rest, toYardId: id });
          }}
        />
      )}
      <details>
        <summary className={common.summary}>{known?.name ?? 'Recipe of your own'}</summary>
        <Box display="grid" gap={1} pt={2}>
          <Select
            label="Recipe"
            value={known?.id ?? ''}
            options={[
              ...NUC_RECIPES.map((r) => [r.id, r.name] as const),
              ...(known ? [] : [['', 'of your own'] as const]),
            ]}
            onChange={(id) => {
              const chosen = NUC_RECIPES.find((r) => r.id === id);
              if (chosen) change({ ...chosen.recipe, queen: recipe.queen, distance: recipe.distance });
            }}
          />
          {known && <Text color="inkSoft">{known.why}</Text>}
          <Stepper
            label="frames in its box"
            value={recipe.slots}
            min={2}
            max={12}
            onChange={(slots) => change({ slots })}
          />
          <Stepper
            label="combs with brood"
            value={recipe.broodCombs.min}
            min={1}
            max={8}
            onChange={(n) => change({ broodCombs: { min: n, max: n } })}
          />
          <Stepper
            label="brood, full frames"
            value={recipe.broodFrames}
            min={0}
            max={8}
            step={0.1}
            onChange={(broodFrames) => change({ broodFrames })}
          />
          <Stepper
            label="combs of honey"
            value={recipe.storesCombs}
            min={0}
            max={6}
            onChange={(storesCombs) => change({ storesCombs })}
          />
          <Stepper
            label="drawn combs"
            value={recipe.emptyCombs}
            min={0}
            max={6}
            onChange={(emptyCombs) => change({ emptyCombs })}
          />
        </Box>
      </details>
    </>
  );
}

const isLike = (a: NucRecipe, b: NucRecipe) =>
  a.slots === b.slots &&
  a.broodCombs.min === b.broodCombs.min &&
  a.broodFrames === b.broodFrames &&
  a.storesCombs === b.storesCombs &&
  a.emptyCombs === b.emptyCombs;
