import { Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { ChoiceCourse, ChoicePart } from '@incremen/core/remedies';
import { one } from '../../ui/format.ts';
import common from '../../ui/common.module.css';
import styles from './ChoicesPage.module.css';

const day = (d: string | null) => (d === null ? '–' : dayInWords(d));

const COLUMNS: readonly { readonly head: string; readonly tell: (p: ChoicePart) => string }[] = [
  { head: 'Fills its boxes', tell: (p) => day(p.milestones.full) },
  { head: 'Can take a super', tell: (p) => day(p.milestones.super) },
  { head: 'Can be split', tell: (p) => day(p.milestones.split) },
  {
    head: 'At the main flow',
    tell: (p) => (p.milestones.atFlow === null ? '–' : `${one(p.milestones.atFlow)} frames`),
  },
  {
    head: 'At the first frost',
    tell: ({ milestones: { atFrost } }) =>
      atFrost === null ? '–' : `${one(atFrost.bees)} frames, ${atFrost.enough ? 'enough' : 'too few'}`,
  },
  { head: 'Feed by', tell: (p) => day(p.milestones.foodEnds) },
];

/** For each colony that comes of a choice, when it can what, and how strong it is on the days that decide. */
export function MilestoneTable({ choices }: { readonly choices: readonly ChoiceCourse[] }) {
  if (choices.length === 0) return <Text color="inkSoft">Choose something above.</Text>;
  return (
    <div className={styles.scroll}>
      <table className={common.table}>
        <thead>
          <tr>
            <th scope="col">Choice</th>
            <th scope="col">Colony</th>
            {COLUMNS.map((c) => (
              <th key={c.head} scope="col">
                {c.head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {choices.flatMap((choice) =>
            choice.parts.map((part, i) => (
              <tr key={`${choice.id}${part.colonyId}`}>
                <th scope="row">{i === 0 ? choice.name : ''}</th>
                <td>
                  {part.name}
                  {part.raises && ', raises its queen'}
                </td>
                {COLUMNS.map((c) => (
                  <td key={c.head}>{c.tell(part)}</td>
                ))}
              </tr>
            )),
          )}
        </tbody>
      </table>
    </div>
  );
}
