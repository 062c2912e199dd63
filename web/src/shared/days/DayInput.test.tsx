import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, it, vi } from 'vitest';
import { renderView } from '../../testing/renderView.tsx';
import { DayField } from './DayField.tsx';

function open(from = '2026-05-15') {
  const changed = vi.fn<(day: string) => void>();
  function One() {
    const [day, setDay] = useState(from);
    return (
      <DayField
        label="Day"
        value={day}
        onChange={(d) => {
          changed(d);
          setDay(d);
        }}
      />
    );
  }
  renderView(<One />);
  return { changed, field: screen.getByRole<HTMLInputElement>('textbox', { name: 'Day' }) };
}

it('shows a day with its weekday and its month in letters, and takes what is typed', async () => {
  const user = userEvent.setup();
  const { changed, field } = open();
  expect(field.value).toBe('Fri 15 May 2026');
  await user.clear(field);
  await user.type(field, '5 June');
  expect(changed).toHaveBeenLastCalledWith('2026-06-05');
  // It is put into words once the field is left.
  expect(field.value).toBe('5 June');
  await user.tab();
  expect(field.value).toBe('Fri 5 Jun 2026');
});

it('says what is no day, changes nothing and goes back to what it was', () => {
  const { changed, field } = open();
  fireEvent.change(field, { target: { value: '31.2.2026' } });
  expect(changed).not.toHaveBeenCalled();
  fireEvent.blur(field);
  expect(screen.getByRole('alert').textContent).toBe(
    'That is no day: write it as Fri 15 May 2026 or 2026-05-15.',
  );
  expect(field.value).toBe('Fri 15 May 2026');
  fireEvent.change(field, { target: { value: '' } });
  expect(changed).toHaveBeenLastCalledWith('');
});
