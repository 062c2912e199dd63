import { fireEvent, screen, within } from '@testing-library/react';
import { ChakraProvider } from '@chakra-ui/react';
import { demoScenario } from '@incremen/core/demo';
import { situationOf, type Situation } from '@incremen/core/split';
import { useEffect, useState } from 'react';
import { describe, expect, it } from 'vitest';
import { system } from '../../app/theme.ts';
import { renderView } from '../../testing/renderView.tsx';
import { SituationForm } from './SituationForm.tsx';

function Trial({ tell }: { readonly tell: (now: Situation) => void }) {
  const { apiary } = demoScenario();
  const sorrel = Object.values(apiary.colony).find((c) => c.name === 'Sorrel');
  if (!sorrel) throw new Error('the demonstration has no Sorrel');
  const [now, setNow] = useState(() => situationOf(apiary, sorrel, '2026-05-15'));
  useEffect(() => tell(now), [tell, now]);
  return (
    <ChakraProvider value={system}>
      <SituationForm now={now} onChange={(change) => setNow({ ...now, ...change })} />
    </ChakraProvider>
  );
}
function open() {
  const told: { now?: Situation } = {};
  const tell = (now: Situation) => {
    told.now = now;
  };
  renderView(<Trial tell={tell} />);
  return () => told.now;
}
const answer = (question: string, words: string) =>
  fireEvent.click(within(screen.getByRole('group', { name: question })).getByRole('radio', { name: words }));

describe('what one has and wants', () => {
  it('begins with what the records say', () => {
    open();
    const chosen = (question: string) =>
      within(screen.getByRole('group', { name: question }))
        .getAllByRole('radio')
        .filter((r) => (r as HTMLInputElement).checked)
        .map((r) => r.closest('label')?.textContent);
    expect(chosen('The queen')).toEqual(['Seen']);
    expect(chosen('Queen cells')).toEqual(['Open']);
    expect(chosen('Time of year')).toEqual(['Swarm season']);
  });

  it('takes each answer', () => {
    const latest = open();
    answer('A honey crop from it this year', 'Yes');
    answer('A second yard, 3 km (2 miles) away or more', 'No');
    answer('Drones fly', 'Not yet');
    answer('Time of year', 'Too early yet');
    fireEvent.click(screen.getByRole('button', { name: 'More: Ripe cells at hand' }));
    expect(latest()).toMatchObject({
      wantsHoney: true,
      secondYard: false,
      dronesFly: false,
      season: 'early',
      ripeCells: 1,
    });
  });

  it('forgets the number of cells with the cells', () => {
    const latest = open();
    expect(latest()?.cellCount).toBeGreaterThan(0);
    answer('Queen cells', 'None');
    expect(latest()).toMatchObject({ cells: 'none', cellCount: 0 });
    expect(screen.queryByLabelText('Good cells')).toBeNull();
  });
});
