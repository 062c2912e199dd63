import { STAMP_KINDS, type ContentClass, type StampKind } from '@incremen/core/comb';
import { History, MoveLeft } from 'lucide-react';
import { memo } from 'react';
import { COMB_INK, CONTENT_FILL } from '../../drawing/contentStyle.ts';
import { onTap } from '../../ui/onTap.ts';
import { ActionButton } from './ActionButton.tsx';
import type { CountAction, CountDraft } from './countDraft.ts';
import { KIND_KEYS } from './countKeys.ts';
import styles from './Questions.module.css';

const KIND_NAMES: Readonly<Record<StampKind, string>> = {
  mixed: 'Mixed brood',
  capped: 'Capped',
  young: 'Eggs, larvae',
  emerging: 'Emerging',
  drone: 'Drone',
  honey: 'Honey',
  nectar: 'Nectar',
  beeBread: 'Bee bread',
  drawn: 'Empty comb',
  foundation: 'Foundation',
};

/** Where a name that is too wide for a button on a phone may be broken. */
const KIND_SHOWN: Readonly<Record<StampKind, string>> = {
  ...KIND_NAMES,
  emerging: 'Emer\u00adging',
  foundation: 'Foun\u00addation',
};

/** The bands on the little frame of each button. */
const KIND_BANDS: Readonly<Record<StampKind, readonly ContentClass[]>> = {
  mixed: ['honey', 'eggs', 'open', 'capped'],
  capped: ['honey', 'capped', 'capped', 'capped'],
  young: ['honey', 'eggs', 'open', 'open'],
  emerging: ['honey', 'emerging', 'emerging', 'emerging'],
  drone: ['honey', 'drone', 'drone', 'drone'],
  honey: ['honey', 'honey', 'honey', 'honey'],
  nectar: ['nectar', 'nectar', 'nectar', 'nectar'],
  beeBread: ['honey', 'beeBread', 'beeBread', 'drawn'],
  drawn: ['drawn', 'drawn', 'drawn', 'drawn'],
  foundation: ['foundation', 'foundation', 'foundation', 'foundation'],
};

interface Answer {
  readonly label: string;
  readonly action: CountAction;
}

const AMOUNTS: readonly Answer[] = (
  [
    [1, '¼'],
    [2, '½'],
    [3, '¾'],
    [4, 'full'],
  ] as const
).map(([quarters, label]) => ({ label, action: { do: 'amount', quarters } }));

const BEES: readonly (Answer & { readonly quarters: number })[] = (
  [
    [0, 'none'],
    [1, '¼'],
    [2, '½'],
    [3, '¾'],
    [4, 'full'],
  ] as const
).map(([quarters, label]) => ({ label, quarters, action: { do: 'bees', quarters } }));

const SAME_AS_LAST: CountAction = { do: 'sameAsLast' };
const SAME_AS_NEIGHBOUR: CountAction = { do: 'sameAsNeighbour' };
const LAST_TIME = (
  <>
    <History size={18} aria-hidden /> As last time
  </>
);
const ONE_BEFORE = (
  <>
    <MoveLeft size={18} aria-hidden /> As the one before
  </>
);

/** The three questions of a usual frame: what it is, how much, how many bees. */
export function Questions({
  draft,
  act,
}: {
  readonly draft: CountDraft;
  readonly act: (action: CountAction) => void;
}) {
  const frame = draft.frames[draft.at];
  const reading = frame?.reading ?? null;
  const beesAt = reading ? Math.round(reading.sides[draft.side === 1 ? 1 : 0].bees / 2.5) : null;
  return (
    <div className={styles.ask}>
      <div>
        <Question on={draft.stage === 'kind'}>1 What is it mostly?</Question>
        <div className={styles.five}>
          {STAMP_KINDS.map((k) => (
            <KindButton key={k} kind={k} on={frame?.kind === k} act={act} />
          ))}
        </div>
      </div>
      <div>
        <Question on={draft.stage === 'amount'}>2 How much of the frame?</Question>
        <div className={styles.five}>
          <span />
          {AMOUNTS.map(({ label, action }) => (
            <ActionButton
              key={label}
              size="answer"
              action={action}
              act={act}
              lit={draft.stage === 'amount'}
              disabled={!frame?.kind}
              label={`${label} of the frame`}
            >
              {label}
            </ActionButton>
          ))}
        </div>
      </div>
      <div>
        <Question on={draft.stage === 'bees'}>3 How much is covered with bees?</Question>
        <div className={styles.five}>
          {BEES.map(({ label, quarters, action }) => (
            <ActionButton
              key={label}
              size="answer"
              action={action}
              act={act}
              on={beesAt === quarters}
              lit={draft.stage === 'bees'}
              disabled={!reading}
              label={`bees: ${label}`}
            >
              {label}
            </ActionButton>
          ))}
        </div>
      </div>
      <div className={styles.two}>
        <ActionButton size="wide" action={SAME_AS_LAST} act={act} disabled={!frame?.last}>
          {LAST_TIME}
        </ActionButton>
        <ActionButton
          size="wide"
          action={SAME_AS_NEIGHBOUR}
          act={act}
          disabled={!draft.frames[draft.at - 1]?.reading}
        >
          {ONE_BEFORE}
        </ActionButton>
      </div>
    </div>
  );
}

function Question({ on, children }: { readonly on: boolean; readonly children: string }) {
  return (
    <div className={styles.question} data-asked={on || undefined}>
      {children}
    </div>
  );
}

const KindButton = memo(function KindButton({
  kind,
  on,
  act,
}: {
  readonly kind: StampKind;
  readonly on: boolean;
  readonly act: (a: CountAction) => void;
}) {
  return (
    <button
      type="button"
      className={styles.kind}
      aria-label={KIND_NAMES[kind]}
      aria-pressed={on}
      aria-keyshortcuts={KIND_KEYS[kind]}
      {...onTap(() => act({ do: 'kind', kind }))}
    >
      <svg width="22" height="42" viewBox="0 0 22 42" aria-hidden="true">
        {KIND_BANDS[kind].map((c, i) => (
          <rect key={i} x="3" y={3 + i * 9.25} width="16" height="9.5" fill={CONTENT_FILL[c]} />
        ))}
        <rect x="3" y="3" width="16" height="37" rx="2" fill="none" stroke={COMB_INK} />
        <path d="M0 2.500h22" stroke="var(--chakra-colors-wood)" strokeWidth="3" strokeLinecap="round" />
      </svg>
      {KIND_SHOWN[kind]}
      <span aria-hidden className={styles.kindKey}>
        {KIND_KEYS[kind]}
      </span>
    </button>
  );
});
