import { Box } from '@chakra-ui/react';
import { MAKES, type Outlook, type TriedChoice, type TriedPlan } from '@incremen/core/seasonplan';
import { dayInWords, moneyInWords } from '@incremen/core/basics';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { count, mass } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import { CHOICE_WORDS } from './seasonWords.ts';
import styles from './Season.module.css';

const WAYS = {
  nucs: 'nuc',
  halves: 'half',
  'queen-out': 'nuc with the old queen',
  level: '',
  unite: '',
  'come-down': '',
} as const;
const MANY = {
  nucs: 'nucs',
  halves: 'halves',
  'queen-out': 'nucs with old queens',
  level: '',
  unite: '',
  'come-down': '',
} as const;

/**
 * A few clearly different plans side by side; one is looked at.
 *
 * @param told - what all seasons that were run tell of the chosen one; null while they run
 */
export function PlanCards({
  plans,
  chosen,
  told,
  onChoose,
}: {
  readonly plans: readonly TriedChoice[];
  readonly chosen: TriedPlan | null;
  readonly told: (Pick<Outlook, 'odds'> & Outlook['means']) | null;
  readonly onChoose: (plan: TriedPlan) => void;
}) {
  const { units, currency } = useOperation();
  const { yard } = useApiary();
  const where = (yardId: string | null) => (yardId === null ? '' : ` in ${yard[yardId]?.name ?? 'a yard'}`);
  return (
    <Box as="section" aria-label="Plans to choose from" mb={4} className={common.noPrint}>
      <SectionHeading mb={2}>
        {plans.length === 1 ? 'One plan stands out' : 'Plans to choose from'}
      </SectionHeading>
      <div className={styles.plans}>
        {plans.map((plan) => {
          const { scored, rounds } = plan;
          // The card and the odds below speak of the same seasons.
          const is = plan === chosen && told ? told : scored;
          const makes = rounds.filter((r) => MAKES.has(r.what));
          return (
            <button
              key={plan.merit}
              type="button"
              className={styles.plan}
              aria-pressed={plan === chosen}
              onClick={() => onChoose(plan)}
            >
              <b>{CHOICE_WORDS[plan.merit]}</b>
              <span className={styles.odds}>{Math.round(100 * is.odds)} %</span>
              <span>
                {makes.length === 0
                  ? 'No colony is made.'
                  : makes
                      .map(
                        (r) =>
                          `${dayInWords(r.day)}: ${count(r.parts, WAYS[r.what], MANY[r.what])}${where(r.yardId)}`,
                      )
                      .join('; ')}
              </span>
              <span className={styles.small}>
                About {Math.round(is.colonies)} colonies, {mass(is.honey, units)} of honey;{' '}
                {moneyInWords(is.money, currency, true)}, {Math.round(is.hours)} hours
              </span>
              {plan.takenOff > 0 && (
                <span className={styles.small}>
                  {count(plan.takenOff, 'colony', 'colonies')} fewer than first thought: the planner of the
                  day finds no more.
                </span>
              )}
            </button>
          );
        })}
      </div>
    </Box>
  );
}
