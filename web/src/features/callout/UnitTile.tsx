import type { CallOut, CallUnit } from '@incremen/core/records';
import { shakesFor, type PlaceTotals, type ShakeRules } from '@incremen/core/callout';
import { HiveDrawing } from '../../drawing/HiveDrawing.tsx';
import { count } from '../../ui/format.ts';
import { UnitMark } from './UnitMark.tsx';
import styles from './UnitTile.module.css';
import quietKeyStyles from './quietKey.module.css';

/** A unit as it fills, with what it still lacks. */
export function UnitTile({
  callOut,
  unit,
  at,
  totals,
  rules,
  onClose,
}: {
  readonly callOut: CallOut;
  readonly unit: CallUnit;
  readonly at: number;
  readonly totals: PlaceTotals | undefined;
  readonly rules: ShakeRules;
  readonly onClose: (closed: boolean) => void;
}) {
  const frames = callOut.body.calls.flatMap((c) =>
    c.to.at === 'unit' && c.to.key === unit.key
      ? [{ id: c.id, slot: c.to.slot, reading: c.reading, blank: 'drawn' as const }]
      : [],
  );
  if (!totals) return null;
  const { recipe } = unit;
  const shakes = shakesFor(totals, rules);
  const hasQueen = callOut.body.queens.some((q) => q.now === unit.key);
  const lacks = [
    ...(totals.broodCombs < recipe.broodCombs.min
      ? [count(recipe.broodCombs.min - totals.broodCombs, 'brood comb')]
      : totals.brood < recipe.broodFrames - 0.05
        ? [`${(recipe.broodFrames - totals.brood).toFixed(1)} brood`]
        : []),
    ...(totals.storesCombs < recipe.storesCombs
      ? [count(recipe.storesCombs - totals.storesCombs, 'food comb')]
      : []),
    ...(recipe.queen === 'raises' && totals.young < 0.1 && !hasQueen ? ['eggs'] : []),
  ];
  return (
    <li className={styles.unit} data-closed={unit.closed || undefined}>
      <div className={styles.unitHead}>
        <UnitMark at={at} />
        <b>{unit.name}</b>
        <button type="button" className={quietKeyStyles.quietKey} onClick={() => onClose(!unit.closed)}>
          {unit.closed ? 'Open again' : 'Lid on'}
        </button>
      </div>
      <HiveDrawing
        boxes={[{ id: unit.key, slots: recipe.slots, sizeId: recipe.sizeId, role: 'brood', frames }]}
        label={`${unit.name}: ${count(totals.frames, 'frame')} of ${recipe.slots}`}
      />
      <p className={styles.sums} data-testid="unit-sums">
        {totals.frames} of {recipe.slots} · {totals.brood.toFixed(1)} brood · {totals.bees.toFixed(1)} bees
        {hasQueen && ' · queen'}
      </p>
      {shakes > 0 && (
        <p className={styles.sums}>shake in {count(shakes, 'frame')} of nurse bees, without the queen</p>
      )}
      <p className={styles.lacks} data-done={lacks.length === 0 || undefined}>
        {lacks.length === 0 ? 'has its recipe' : `lacks ${lacks.join(', ')}`}
      </p>
    </li>
  );
}
