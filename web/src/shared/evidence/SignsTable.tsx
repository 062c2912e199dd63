import { memo } from 'react';
import { SIGN_NAMES, SIGNS } from '@incremen/core/records';
import { Check, Minus, X } from 'lucide-react';
import { fingers } from '../../ui/onTap.ts';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';
import type { Looked } from './Question.tsx';
import clsx from 'clsx';
import questionStyles from './Question.module.css';
import styles from './SignsTable.module.css';
import choiceStyles from '../../ui/Choice.module.css';

const ANSWERS: readonly { id: Looked; word: string; icon: typeof Check }[] = [
  { id: 'found', word: 'seen', icon: Check },
  { id: 'notFound', word: 'not there', icon: X },
  { id: 'notLooked', word: 'not looked', icon: Minus },
];

/** The smaller things that are there or not, one row each: seen, looked and not there, not looked. */
export const SignsTable = memo(
  function SignsTable({ evidence, set, name }: EvidenceProps) {
    return (
      <div>
        <div className={questionStyles.title}>Also seen</div>
        <div className={styles.signs}>
          {SIGNS.map((sign) => (
            <fieldset key={sign} className={styles.sign} aria-label={name(SIGN_NAMES[sign])}>
              <span aria-hidden>{SIGN_NAMES[sign]}</span>
              <div className={choiceStyles.choices}>
                {ANSWERS.map(({ id, word, icon: Icon }) => {
                  const on = evidence[sign].look === id;
                  return (
                    <label
                      key={id}
                      className={clsx(choiceStyles.choice, choiceStyles.choiceSquare)}
                      title={word}
                      {...fingers(() => set({ [sign]: { look: id } }))}
                      data-chosen={on ? (id === 'notLooked' ? 'quiet' : 'plain') : undefined}
                    >
                      <input
                        type="radio"
                        name={name(SIGN_NAMES[sign])}
                        aria-label={`${SIGN_NAMES[sign]}: ${word}`}
                        checked={on}
                        onChange={() => set({ [sign]: { look: id } })}
                      />
                      <Icon size={20} aria-hidden />
                    </label>
                  );
                })}
              </div>
            </fieldset>
          ))}
        </div>
      </div>
    );
  },
  sameEvidence(...SIGNS),
);
