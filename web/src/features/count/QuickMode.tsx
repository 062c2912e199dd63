import { Box, Button, Grid, Text } from '@chakra-ui/react';
import { framesThere, namedFrames, type QuickCount } from '@incremen/core/brood';
import type { Box as HiveBox } from '@incremen/core/records';
import type { ContentClass } from '@incremen/core/comb';
import { memo, useDeferredValue, useState, type Dispatch } from 'react';
import { HiveDrawing } from '../../drawing/HiveDrawing.tsx';
import { Swatch } from '../../drawing/Legend.tsx';
import { count } from '../../ui/format.ts';
import { Key } from '../../ui/Key.tsx';
import { fingers, onTap } from '../../ui/onTap.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { quickProblems, type CountAction, type CountDraft } from '../../shared/counting/countDraft.ts';
import { drawnCount } from './FramePicker.tsx';
import styles from './QuickMode.module.css';

type NumberKey = Exclude<keyof QuickCount, 'eggsSeen'>;
type FieldKey = keyof QuickCount;

const FIELDS: readonly {
  readonly key: FieldKey;
  readonly label: string;
  readonly fill: ContentClass | 'bees';
}[] = [
  { key: 'bees', label: 'Bees', fill: 'bees' },
  { key: 'capped', label: 'Capped brood', fill: 'capped' },
  { key: 'open', label: 'Open brood', fill: 'open' },
  { key: 'eggsSeen', label: 'Eggs', fill: 'eggs' },
  { key: 'stores', label: 'Stores', fill: 'honey' },
  { key: 'beeBread', label: 'Bee bread', fill: 'beeBread' },
  { key: 'drawn', label: 'Empty comb', fill: 'drawn' },
  { key: 'foundation', label: 'Foundation', fill: 'foundation' },
];

const EGGS: readonly { readonly seen: boolean | null; readonly label: string }[] = [
  { seen: true, label: 'Seen' },
  { seen: false, label: 'None' },
  { seen: null, label: 'Not looked' },
];

/** The colony in a few numbers, a tap each: what is next lights up by itself. */
export function QuickMode({
  draft,
  act,
  boxes,
}: {
  readonly draft: CountDraft;
  readonly act: Dispatch<CountAction>;
  readonly boxes: readonly HiveBox[];
}) {
  const [active, setActive] = useState<FieldKey>('bees');
  const [half, setHalf] = useState(false);
  const [ten, setTen] = useState(false);
  const { quick } = draft;
  // The key answers at once; the hive follows in the next frame.
  const drawn = useDeferredValue(draft);
  const next = () => {
    const at = FIELDS.findIndex((f) => f.key === active);
    setActive(FIELDS[at + 1]?.key ?? active);
    setHalf(false);
    setTen(false);
  };
  const put = (change: Partial<QuickCount>) => act({ do: 'quick', change });
  return (
    <Grid
      columnGap={7}
      rowGap={4}
      templateColumns={{ base: '1fr', md: 'minmax(0, 420px) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <Box>
        <ul className={styles.fields}>
          {FIELDS.map((f) => (
            <Field
              key={f.key}
              field={f}
              quick={quick}
              active={active === f.key}
              onActive={() => {
                setActive(f.key);
                setHalf(false);
                setTen(false);
              }}
              onNumber={(value) => f.key !== 'eggsSeen' && put({ [f.key]: value })}
            />
          ))}
        </ul>
        {active === 'eggsSeen' ? (
          <div className={styles.keys} data-three>
            {EGGS.map(({ seen, label }) => (
              <Key
                size="large"
                key={label}
                label={`Eggs: ${label.toLowerCase()}`}
                on={quick !== null && quick.eggsSeen === seen}
                onClick={() => {
                  put({ eggsSeen: seen });
                  next();
                }}
              >
                {label}
              </Key>
            ))}
          </div>
        ) : (
          <Keypad
            half={half}
            ten={ten}
            onHalf={() => setHalf(!half)}
            onTen={() => setTen(!ten)}
            onDigit={(n) => {
              put({ [active as NumberKey]: n + (half ? 0.5 : 0) + (ten ? 10 : 0) });
              next();
            }}
          />
        )}
      </Box>
      <Spread draft={drawn} act={act} boxes={boxes} />
    </Grid>
  );
}

/** The numbers spread over the hive, and what is wrong with them. */
const Spread = memo(function Spread({
  draft,
  act,
  boxes,
}: {
  readonly draft: CountDraft;
  readonly act: Dispatch<CountAction>;
  readonly boxes: readonly HiveBox[];
}) {
  const { quick } = draft;
  const problems = quickProblems(draft);
  const there = framesThere(
    draft.boxes.map((b) => ({ ...b, combs: draft.frames.filter((f) => f.boxId === b.id).length })),
  );
  return (
    <Box display="grid" gap={3} justifyItems="start">
      <Text>
        {quick === null
          ? 'Frames (halves allowed), in the size of your bottom box, both sides counted together.'
          : `${frames(namedFrames(quick))} of ${frames(there)} frames are named; the rest is taken for empty comb.`}
      </Text>
      <ProblemList problems={problems} />
      <HiveDrawing boxes={drawnCount(draft, boxes, false)} label="Estimated layout" scale={1.3} />
      {quick !== null && (
        <>
          <Text color="inkSoft" fontSize="sm">
            Filled in as a typical layout, marked “estimated”. Frames that you read one by one stay as you
            read them.
          </Text>
          <Button variant="outline" bg="sheet" onClick={() => act({ do: 'noQuick' })}>
            Clear the quick count
          </Button>
        </>
      )}
    </Box>
  );
});

function Field({
  field,
  quick,
  active,
  onActive,
  onNumber,
}: {
  readonly field: (typeof FIELDS)[number];
  readonly quick: QuickCount | null;
  readonly active: boolean;
  readonly onActive: () => void;
  readonly onNumber: (value: number) => void;
}) {
  const eggs = EGGS.find((e) => quick && e.seen === quick.eggsSeen)?.label ?? '–';
  const mark = (
    <>
      {field.fill === 'bees' ? <span className={styles.bees} /> : <Swatch content={field.fill} />}
      <span className={styles.name}>{field.label}</span>
    </>
  );
  return (
    <li>
      {field.key === 'eggsSeen' ? (
        <button
          type="button"
          className={styles.field}
          data-active={active || undefined}
          {...onTap(onActive)}
          aria-label={`Eggs: ${eggs}`}
        >
          {mark}
          <span className={styles.value}>{eggs}</span>
        </button>
      ) : (
        <label
          className={styles.field}
          data-active={active || undefined}
          {...fingers((label) => label.querySelector('input')?.focus())}
        >
          {mark}
          <NumberInput
            label={`${field.label}, frames`}
            value={quick?.[field.key] ?? null}
            onFocus={onActive}
            onNumber={onNumber}
          />
        </label>
      )}
    </li>
  );
}

/** A number of frames that can also be typed: `4.5`, `4,5` or `4½`. */
function NumberInput({
  label,
  value,
  onFocus,
  onNumber,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly onFocus: () => void;
  readonly onNumber: (value: number) => void;
}) {
  const [typing, setTyping] = useState<string | null>(null);
  const shown = typing ?? (value === null ? '' : frames(value));
  return (
    <input
      className={styles.value}
      aria-label={label}
      // The keypad below is for fingers; a keyboard on the screen would hide it.
      inputMode="none"
      value={shown}
      placeholder="–"
      onFocus={(e) => {
        onFocus();
        e.target.select();
      }}
      onChange={(e) => {
        setTyping(e.target.value);
        const n = parseFrames(e.target.value);
        if (n !== null) onNumber(n);
      }}
      onBlur={() => setTyping(null)}
    />
  );
}

/** Frames as one says them, to the half. */
function frames(n: number): string {
  const whole = Math.floor(n);
  if (n - whole < 0.25) return String(whole);
  return whole === 0 ? '½' : `${whole}½`;
}

function parseFrames(text: string): number | null {
  const plain = text.trim().replace('½', '.5').replace(',', '.');
  const n = Number(plain);
  if (plain === '' || !Number.isFinite(n) || n < 0 || n > 60) return null;
  return Math.round(n * 2) / 2;
}

function Keypad({
  half,
  ten,
  onHalf,
  onTen,
  onDigit,
}: {
  readonly half: boolean;
  readonly ten: boolean;
  readonly onHalf: () => void;
  readonly onTen: () => void;
  readonly onDigit: (n: number) => void;
}) {
  return (
    <div className={styles.keys} role="group" aria-label="Frames">
      {[1, 2, 3, 4, 5, 6, 7, 8, 9, 0].map((n) => (
        <Key size="large" key={n} label={count(n, 'frame')} onClick={() => onDigit(n)}>
          {n}
        </Key>
      ))}
      <Key size="large" label="and a half" on={half} onClick={onHalf}>
        +½
      </Key>
      <Key size="large" label="ten more" on={ten} onClick={onTen}>
        10+
      </Key>
    </div>
  );
}
