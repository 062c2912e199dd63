import { fireEvent, render, screen } from '@testing-library/react';
import { ChakraProvider } from '@chakra-ui/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { system } from '../../app/theme.ts';
import { ColonyChoice } from './ColonyChoice.tsx';

const COLONIES = ['Tansy', 'Mallow', 'Sorrel'].map((name) => ({ id: name.toLowerCase(), name }));

function Trial({ all, from = [] }: { readonly all: string | null; readonly from?: readonly string[] }) {
  const [chosen, setChosen] = useState(from);
  return (
    <ChakraProvider value={system}>
      <ColonyChoice label="Colonies" all={all} colonies={COLONIES} chosen={chosen} onChange={setChosen} />
    </ChakraProvider>
  );
}
const click = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const pressed = () => screen.queryAllByRole('button', { pressed: true }).map((b) => b.textContent);

describe('which colonies a goal is about', () => {
  it('is all of them until some are named', () => {
    render(<Trial all="every weak one" />);
    expect(pressed()).toEqual(['every weak one']);
    click('Mallow');
    click('Tansy');
    expect(pressed()).toEqual(['Tansy', 'Mallow']);
  });

  it('is all of them again when the last name is taken back, or all are asked for', () => {
    render(<Trial all="every weak one" from={['tansy']} />);
    click('Tansy');
    expect(pressed()).toEqual(['every weak one']);
    click('Sorrel');
    click('Mallow');
    click('every weak one');
    expect(pressed()).toEqual(['every weak one']);
  });

  it('keeps one at least where a goal needs a name', () => {
    render(<Trial all={null} from={['sorrel']} />);
    click('Sorrel');
    expect(pressed()).toEqual(['Sorrel']);
    click('Tansy');
    click('Sorrel');
    expect(pressed()).toEqual(['Tansy']);
  });

  it('lets go of one that is gone', () => {
    render(<Trial all={null} from={['burnet']} />);
    expect(pressed()).toEqual([]);
    click('Tansy');
    click('Tansy');
    expect(pressed()).toEqual(['Tansy']);
  });

  it('is one group with its name', () => {
    render(<Trial all={null} />);
    expect(screen.getByRole('group', { name: 'Colonies' })).toBeTruthy();
    expect(screen.getAllByRole('button')).toHaveLength(3);
  });
});
