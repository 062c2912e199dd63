import { bothSides, type ContentClass } from '@incremen/core/comb';
import type { HouseRuleId } from '@incremen/core/rules';
import { Slat, SLAT } from '../../drawing/Slat.tsx';
import { one } from '../../ui/format.ts';

/** Frames that a rule counts, by what is on them. */
const FRAMES: Partial<Readonly<Record<HouseRuleId, ContentClass | 'bees'>>> = {
  minBeesNewPart: 'bees',
  strongForHalves: 'bees',
  strongForNuc: 'bees',
  giverBees: 'bees',
  weakBees: 'bees',
  winterBees: 'bees',
  donorFloorBrood: 'capped',
  donorFloorDearth: 'capped',
  giverBrood: 'capped',
  minBeeBreadFrames: 'beeBread',
  minStoresNoField: 'honey',
  minStoresOnStand: 'honey',
  minStoresDearth: 'honey',
  hiveUpStores: 'honey',
  roomToLay: 'drawn',
};
const NAMES: Partial<Readonly<Record<ContentClass | 'bees', string>>> = {
  bees: 'frames of bees',
  capped: 'frames of brood',
  beeBread: 'frames of bee bread',
  honey: 'frames of honey',
  drawn: 'empty combs',
};
/** Bees that cover brood: so many frames of them are drawn with what they may have. */
const COVER: ReadonlySet<HouseRuleId> = new Set<HouseRuleId>(['coverWarm', 'coverCold']);
const COVERING = 5;
/** Of ten bees so many. */
const SHARES: ReadonlySet<HouseRuleId> = new Set<HouseRuleId>([
  'stayOpenBrood',
  'stayCappedBrood',
  'stayStores',
  'stayAway',
]);
const TEN = 10;
/** More frames than this are no picture any more. */
const MOST = 16;
const HIGH = 34;

/** What a rule means, drawn: combs as they hang, or ten bees of which some stay. Nothing where a picture says no more. */
export function RulePicture({ id, value }: { readonly id: HouseRuleId; readonly value: number }) {
  if (!Number.isFinite(value) || value < 0) return null;
  if (SHARES.has(id)) return <Stay share={value} />;
  if (COVER.has(id))
    return (
      <Combs
        what="capped"
        full={COVERING * value}
        bees={COVERING}
        label={`${one(COVERING * value)} frames of brood under ${COVERING} frames of bees`}
      />
    );
  const what = FRAMES[id];
  if (what === undefined || value > MOST || value === 0) return null;
  return (
    <Combs
      what={what}
      full={value}
      bees={what === 'bees' ? value : 0}
      label={`${one(value)} ${NAMES[what] ?? ''}`}
    />
  );
}

function Combs({
  what,
  full,
  bees,
  label,
}: {
  readonly what: ContentClass | 'bees';
  readonly full: number;
  readonly bees: number;
  readonly label: string;
}) {
  const many = Math.ceil(Math.max(full, bees));
  /** How much of the nth comb falls to an amount: the last one in part. */
  const part = (of: number, n: number) => Math.max(0, Math.min(1, of - n));
  return (
    <svg
      width={(many * SLAT.pitch + 8) * 0.62}
      height={HIGH * 0.62 + 8}
      viewBox={`0 0 ${many * SLAT.pitch + 8} ${HIGH + 12}`}
      role="img"
      aria-label={label}
    >
      {Array.from({ length: many }, (_, n) => {
        const share = 10 * part(full, n);
        const contents =
          what === 'bees'
            ? { drawn: 10 }
            : what === 'drawn'
              ? { drawn: 10 }
              : { [what]: share, drawn: 10 - share };
        return (
          <Slat
            key={n}
            reading={bothSides(contents, 10 * part(bees, n), { estimated: true })}
            x={n * SLAT.pitch + 6}
            y={5}
            height={HIGH}
            dim={what === 'drawn' && share < 5}
          />
        );
      })}
    </svg>
  );
}

/** Ten bees: the ones that stay, and the ones that fly home. */
function Stay({ share }: { readonly share: number }) {
  const stay = Math.round(TEN * Math.min(1, share));
  return (
    <svg
      width={TEN * 15 + 4}
      height={18}
      viewBox={`0 0 ${TEN * 15 + 4} 18`}
      role="img"
      aria-label={`of ten bees ${stay} stay`}
    >
      {Array.from({ length: TEN }, (_, n) => (
        <ellipse
          key={n}
          cx={n * 15 + 9}
          cy={9}
          rx={5.5}
          ry={3.6}
          transform={`rotate(-18 ${n * 15 + 9} 9)`}
          fill={n < stay ? 'var(--chakra-colors-near)' : 'none'}
          stroke="var(--chakra-colors-near)"
          strokeWidth={1.3}
        />
      ))}
    </svg>
  );
}
