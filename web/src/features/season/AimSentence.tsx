import { Box, Flex, Text } from '@chakra-ui/react';
import clsx from 'clsx';
import { KG_PER_LB, type Day } from '@incremen/core/basics';
import { AIM_QUEENS, type SeasonAim } from '@incremen/core/records';
import type { AimKind } from '@incremen/core/seasonplan';
import { DayInput } from '../../shared/days/DayInput.tsx';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import common from '../../ui/common.module.css';
import styles from './Season.module.css';

const KINDS: readonly { readonly id: AimKind; readonly label: string }[] = [
  { id: 'grow', label: 'Grow' },
  { id: 'spares', label: 'Replace what winter takes' },
  { id: 'come-down', label: 'Come down in number' },
];
const QUEENS: Readonly<Record<(typeof AIM_QUEENS)[number], string>> = {
  raises: 'they raise their own',
  cell: 'ripe cells',
  mated: 'mated queens are bought',
};

/** What is wanted of a season: one sentence that is a form, and what it may cost, folded. */
export function AimSentence({
  aim,
  kind,
  onKind,
  onChange,
}: {
  readonly aim: SeasonAim;
  readonly kind: AimKind | null;
  readonly onKind: (kind: AimKind) => void;
  readonly onChange: (aim: SeasonAim) => void;
}) {
  const apiary = useApiary();
  const { units, currency } = useOperation();
  const set = (change: Partial<SeasonAim>) => onChange({ ...aim, ...change });
  const perUnit = units === 'imperial' ? KG_PER_LB : 1;
  const yards = Object.values(apiary.yard).filter((y) => y.closedOn === null);
  return (
    <Box as="section" aria-label="What you want" className={clsx(styles.aim, common.noPrint)}>
      <Choice label="What for" hideLabel value={kind} options={KINDS} onChange={onKind} />
      <div className={styles.sentence}>
        <span>I want {aim.atMost ? 'no more than' : 'at least'}</span>
        <Stepper
          bare
          label="colonies"
          value={aim.colonies}
          min={1}
          max={400}
          onChange={(colonies) => set({ colonies })}
        />
        <span>colonies by</span>
        <span className={styles.day}>
          <DayInput label="by the day" value={aim.by} onChange={(by: Day) => set({ by })} />
        </span>
        <span>with at least</span>
        <Stepper
          bare
          label="frames of bees in each"
          value={aim.strongFrames}
          min={0}
          max={20}
          onChange={(strongFrames) => set({ strongFrames })}
        />
        <span>frames of bees each, and</span>
        <Stepper
          bare
          label={units === 'imperial' ? 'pounds of honey' : 'kilograms of honey'}
          value={Math.round(aim.honeyKg / perUnit)}
          min={0}
          max={20000}
          step={5}
          onChange={(honey) => set({ honeyKg: Math.round(honey * perUnit * 10) / 10 })}
        />
        <span>{units === 'imperial' ? 'lb' : 'kg'} of honey.</span>
      </div>
      <Flex gap={6} wrap="wrap" mt={3} align="flex-start">
        <fieldset className={styles.set}>
          <legend>How new colonies get their queens</legend>
          {AIM_QUEENS.map((q) => (
            <label key={q} className={styles.check}>
              <input
                type="checkbox"
                checked={aim.queens.includes(q)}
                // One way must be left.
                disabled={aim.queens.length === 1 && aim.queens.includes(q)}
                onChange={(e) =>
                  set({
                    queens: AIM_QUEENS.filter((w) => (w === q ? e.target.checked : aim.queens.includes(w))),
                  })
                }
              />
              {QUEENS[q]}
            </label>
          ))}
          <label className={styles.check}>
            <input
              type="checkbox"
              checked={aim.weekendsOnly}
              onChange={(e) => set({ weekendsOnly: e.target.checked })}
            />
            I work at weekends only
          </label>
        </fieldset>
        <details className={styles.limits}>
          <summary className={common.summary}>Money, hours, room in the yards</summary>
          <Box display="grid" gap={3} mt={2}>
            <Limit
              label={`Money at most, in ${currency}`}
              value={aim.moneyMost}
              usual={500}
              step={50}
              onChange={(moneyMost) => set({ moneyMost })}
            />
            <Limit
              label="Hours at most"
              value={aim.hoursMost}
              usual={100}
              step={10}
              onChange={(hoursMost) => set({ hoursMost })}
            />
            {yards.map((y) => (
              <Limit
                key={y.id}
                label={`Colonies in ${y.name} at most`}
                value={aim.yards.find((l) => l.yardId === y.id)?.most ?? null}
                usual={12}
                step={1}
                onChange={(most) =>
                  set({
                    yards: [
                      ...aim.yards.filter((l) => l.yardId !== y.id),
                      ...(most === null ? [] : [{ yardId: y.id, most: Math.round(most) }]),
                    ],
                  })
                }
              />
            ))}
          </Box>
        </details>
      </Flex>
    </Box>
  );
}

/** A limit that may be none. */
function Limit({
  label,
  value,
  usual,
  step,
  onChange,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly usual: number;
  readonly step: number;
  readonly onChange: (value: number | null) => void;
}) {
  return (
    <Flex gap={3} align="center" wrap="wrap">
      <label className={styles.check}>
        <input
          type="checkbox"
          checked={value !== null}
          onChange={(e) => onChange(e.target.checked ? usual : null)}
        />
        {label}
      </label>
      {value === null ? (
        <Text color="inkSoft">no limit</Text>
      ) : (
        <Stepper bare label={label} value={value} min={0} max={1_000_000} step={step} onChange={onChange} />
      )}
    </Flex>
  );
}
