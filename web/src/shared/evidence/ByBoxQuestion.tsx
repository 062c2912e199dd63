import { memo } from 'react';
import { Text } from '@chakra-ui/react';
import { Choice } from '../../ui/Choice.tsx';
import { Key } from '../../ui/Key.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';
import { Further, Question } from './Question.tsx';

const CAPS = [
  { id: 'unsaid', label: 'not noted', quiet: true },
  { id: 'flat', label: 'flat' },
  { id: 'domed', label: 'domed' },
  { id: 'both', label: 'both' },
  { id: 'none', label: 'no caps' },
] as const;
const EGGS = [
  { id: 'unsaid', label: 'not noted', quiet: true },
  { id: 'yes', label: 'eggs' },
  { id: 'no', label: 'no eggs' },
] as const;

/** What one box showed and the others did not: a queen below a full super and drones above are one story of two places. */
export const ByBoxQuestion = memo(
  function ByBoxQuestion({
    evidence: { byBox, read },
    set,
    name,
    boxes,
  }: EvidenceProps & { readonly boxes: readonly { readonly id: string; readonly name: string }[] }) {
    if (boxes.length < 2) return null;
    return (
      <Question title="Box by box">
        {boxes.map((box) => {
          const said = byBox.find((b) => b.boxId === box.id);
          const others = byBox.filter((b) => b.boxId !== box.id);
          const isRead = read?.boxIds.includes(box.id) ?? false;
          const readIds = read?.boxIds ?? [];
          const put = (change: Partial<(typeof byBox)[number]>) => {
            const next = { boxId: box.id, eggs: null, caps: null, ...said, ...change };
            set({ byBox: next.eggs === null && next.caps === null ? others : [...others, next] });
          };
          return (
            <Further key={box.id}>
              <Text fontWeight="600">{box.name}</Text>
              <Key
                size="mark"
                label={name(`${box.name} was read through`)}
                on={isRead}
                onClick={() => {
                  const ids = isRead ? readIds.filter((id) => id !== box.id) : [...readIds, box.id];
                  set({ read: ids.length === 0 ? null : { boxIds: ids, some: false } });
                }}
              >
                read through
              </Key>
              <Choice
                hideLabel
                label={name(`eggs in the ${box.name}`)}
                value={said?.eggs === true ? 'yes' : said?.eggs === false ? 'no' : 'unsaid'}
                onChange={(e) => put({ eggs: e === 'unsaid' ? null : e === 'yes' })}
                options={EGGS}
              />
              <Choice
                hideLabel
                label={name(`caps in the ${box.name}`)}
                value={said?.caps ?? 'unsaid'}
                onChange={(c) => put({ caps: c === 'unsaid' ? null : c })}
                options={CAPS}
              />
            </Further>
          );
        })}
      </Question>
    );
  },
  sameEvidence('byBox', 'read'),
);
