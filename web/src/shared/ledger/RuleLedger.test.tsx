import type { RuleLine } from '@incremen/core/records';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { renderView } from '../../testing/renderView.tsx';
import { RuleLedger } from './RuleLedger.tsx';

const line = (id: string, state: RuleLine['state'], mend = ''): RuleLine => ({
  id,
  label: id,
  state,
  value: 1,
  threshold: 2,
  sense: 'atLeast',
  unit: 'frames',
  why: 'Because.',
  mend,
});

describe('the ledger of rules', () => {
  it('puts what is broken first, then wishes that fall short, then what is near', () => {
    renderView(
      <RuleLedger
        ledger={[
          line('Bees', 'met'),
          line('Brood', 'near'),
          line('Level', 'near', 'A frame below the others.'),
          line('Stores', 'broken', 'Give a frame of honey.'),
        ]}
      />,
    );
    const shown = screen.getAllByRole('listitem').map((li) => /^\w+: [a-z ]+/.exec(li.textContent)?.[0]);
    expect(shown).toEqual(['Stores: broken', 'Level: falls short', 'Brood: near', 'Bees: met']);
    expect(screen.getByText('A frame below the others.')).toBeTruthy();
  });
});
