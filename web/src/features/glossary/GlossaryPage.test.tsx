import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { Term } from '../../drawing/Term.tsx';
import { renderView } from '../../testing/renderView.tsx';
import { GlossaryPage } from './GlossaryPage.tsx';

it('finds a word by what it is called elsewhere, and says when none fits', async () => {
  const user = userEvent.setup();
  renderView(<GlossaryPage />);
  const search = screen.getByRole('searchbox', { name: 'Find a word' });
  await user.type(search, 'hive body');
  expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
    expect.stringMatching(/^Box, also brood box, hive body/),
  ]);
  await user.clear(search);
  await user.type(search, 'zebra');
  expect(screen.getByText('No word fits. Try a shorter one.')).toBeTruthy();
});

it('a word of the trade opens its meaning, and any other stays a word', () => {
  const { container } = renderView(
    <>
      <Term word="bee bread" /> <Term word="heather">heather</Term>
    </>,
  );
  const button = screen.getByRole('button', { name: 'bee bread' });
  const card = container.querySelector(`[id="${button.getAttribute('popovertarget')}"]`);
  expect(card?.textContent).toContain('Without it no brood is raised.');
  expect(screen.queryByRole('button', { name: 'heather' })).toBeNull();
});
