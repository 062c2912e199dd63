import { numberTyped, TextField } from '../../ui/TextField.tsx';
import { Box, Heading, Input, Text } from '@chakra-ui/react';
import { moneyInWords } from '@incremen/core/basics';
import {
  MEASURES,
  SYRUP_RATIOS,
  syrupOfLitres,
  syrupOfSugar,
  WATER_KG_PER_LITRE,
  type MeasureSystem,
  type Syrup,
} from '@incremen/core/feed';
import { useId, useState } from 'react';
import { useOperation } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';

const SYSTEMS: readonly { readonly id: MeasureSystem; readonly label: string }[] = [
  { id: 'metric', label: 'kg, L' },
  { id: 'us', label: 'lb, US qt' },
  { id: 'imperial', label: 'lb, pt' },
];

/** A ratio of one's own. */
const OWN = 'own';

/** Syrup of any ratio, from the sugar that there is or to the volume that is wanted. */
export function SyrupCalculator({
  litres,
  sugarPerWater,
}: {
  /** What a round needs; null for none. */
  readonly litres: number | null;
  readonly sugarPerWater: number;
}) {
  const { units } = useOperation();
  const [system, setSystem] = useState<MeasureSystem>(units === 'imperial' ? 'us' : 'metric');
  const measure = MEASURES[system];
  // What a round needs is taken over until something else is chosen: the round may be reckoned anew at any time.
  const [chosen, setRatio] = useState<string | null>(null);
  const ratio = chosen ?? SYRUP_RATIOS.find((r) => r.sugarPerWater === sugarPerWater)?.id ?? OWN;
  const [ownRatio, setOwnRatio] = useState(sugarPerWater);
  const [by, setBy] = useState<'volume' | 'sugar'>('volume');
  const [typed, setTyped] = useState<string | null>(null);
  const amount = typed ?? (litres === null ? '4' : (litres / measure.litresPerVolume).toFixed(1));
  const amountId = useId();
  const known = SYRUP_RATIOS.find((r) => r.id === ratio);
  const parts = known ?? { id: `${ownRatio}:1`, sugarPerWater: ownRatio, use: 'your own' };
  const n = Number(amount.replace(',', '.'));
  const made =
    by === 'volume'
      ? syrupOfLitres(n * measure.litresPerVolume, parts.sugarPerWater)
      : syrupOfSugar(n * measure.kgPerMass, parts.sugarPerWater);
  return (
    <Box
      as="section"
      aria-label="Syrup"
      bg="sheet"
      borderWidth="1px"
      borderRadius="xl"
      p={4}
      display="grid"
      gap={3}
    >
      <Heading as="h2" fontSize="xl">
        Syrup
      </Heading>
      <Choice
        label="Sugar to water, by weight"
        value={ratio}
        options={[
          ...SYRUP_RATIOS.map((r) => ({ id: r.id as string, label: r.id, hint: r.use })),
          { id: OWN, label: 'other' },
        ]}
        onChange={setRatio}
      />
      {ratio === OWN && (
        <Stepper
          label="parts of sugar to one of water"
          value={ownRatio}
          min={0.1}
          max={5}
          step={0.1}
          onChange={setOwnRatio}
        />
      )}
      <Choice label="Measures" value={system} options={SYSTEMS} onChange={setSystem} />
      <Choice
        label="I know"
        value={by}
        options={[
          { id: 'volume', label: 'how much syrup I want' },
          { id: 'sugar', label: 'how much sugar I have' },
        ]}
        onChange={(b) => {
          setBy(b);
          setTyped(amount);
        }}
      />
      <Box>
        <Text as="label" {...{ htmlFor: amountId }} fontWeight="600" display="block" mb={1}>
          {by === 'volume' ? `Syrup, ${measure.volume}` : `Sugar, ${measure.mass}`}
        </Text>
        <Input
          id={amountId}
          inputMode="decimal"
          minH="48px"
          bg="sheet"
          value={amount}
          onChange={(e) => setTyped(e.target.value)}
        />
      </Box>
      {!made.ok && <ProblemList problems={made.problems} />}
      {made.ok && <Made syrup={made.value} system={system} />}
      <SugarCost sugarKg={made.ok ? made.value.sugarKg : null} measure={measure} />
      <Text color="inkSoft" fontSize="sm">
        {parts.id}: {parts.use}. Volumes by the density of sucrose at 20 °C (68 °F).
      </Text>
    </Box>
  );
}

const PRICE = 'incremen.sugarPrice';

/** What the sugar costs, by the price that was last typed on this device; it is for a kilogram, whatever it is shown in. */
function SugarCost({
  sugarKg,
  measure: { mass, kgPerMass },
}: {
  readonly sugarKg: number | null;
  readonly measure: (typeof MEASURES)[MeasureSystem];
}) {
  const { currency } = useOperation();
  const [perKg, setPerKg] = useState(() => Number(localStorage.getItem(PRICE) ?? ''));
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? (perKg > 0 ? (perKg * kgPerMass).toFixed(2) : '');
  return (
    <Box display="grid" gap={1}>
      <TextField
        label={`Price of sugar, ${currency} for a ${mass}`}
        numeric
        value={shown}
        onChange={(text) => {
          setTyped(text);
          const price = (numberTyped(text) ?? 0) / kgPerMass;
          setPerKg(price);
          localStorage.setItem(PRICE, String(price));
        }}
      />
      {sugarKg !== null && perKg > 0 && (
        <Text role="status" fontWeight="600">
          The sugar costs about {moneyInWords(sugarKg * perKg, currency)}.
        </Text>
      )}
    </Box>
  );
}

/** A bucket with the sugar and the water that go in, to scale. */
function Made({ syrup, system }: { readonly syrup: Syrup; readonly system: MeasureSystem }) {
  const { mass, kgPerMass, volume, litresPerVolume } = MEASURES[system];
  const water = syrup.waterKg / WATER_KG_PER_LITRE;
  const share = syrup.sugarKg / (syrup.sugarKg + syrup.waterKg);
  const H = 92;
  return (
    <Box display="flex" gap={4} alignItems="center" aria-live="polite">
      <svg viewBox="0 0 84 110" width="84" height="110" aria-hidden>
        <path d="M8 8h68l-6 96H14z" fill="var(--chakra-colors-sunk)" />
        <clipPath id="bucket">
          <path d="M8 8h68l-6 96H14z" />
        </clipPath>
        <g clipPath="url(#bucket)">
          <rect x="0" y={12} width="84" height={H * (1 - share)} fill="var(--chakra-colors-syrup-water)" />
          <rect
            x="0"
            y={12 + H * (1 - share)}
            width="84"
            height={H * share}
            fill="var(--chakra-colors-syrup-sugar)"
          />
        </g>
        <path
          d="M8 8h68l-6 96H14z"
          fill="none"
          stroke="var(--chakra-colors-wood)"
          strokeWidth="3"
          strokeLinejoin="round"
        />
      </svg>
      <Box>
        <Text fontSize="lg" fontWeight="700">
          {(syrup.sugarKg / kgPerMass).toFixed(2)} {mass} sugar
        </Text>
        <Text fontSize="lg" fontWeight="700">
          {(water / litresPerVolume).toFixed(2)} {volume} water
        </Text>
        <Text>
          makes {(syrup.litres / litresPerVolume).toFixed(2)} {volume}
          {system === 'us' && ` (${(syrup.litres / litresPerVolume / 4).toFixed(2)} US gal)`}
        </Text>
      </Box>
    </Box>
  );
}
