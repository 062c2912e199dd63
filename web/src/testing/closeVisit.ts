import { fireEvent, screen, within } from '@testing-library/react';

/** Answers for every unit of the work, and finishes it. */
export function closeVisit(): void {
  const panel = screen.getByRole('region', { name: 'Close the visit' });
  for (const must of within(panel).getAllByRole('checkbox')) fireEvent.click(must);
  for (const answer of ['Not looked for', 'No need', 'None']) {
    for (const radio of within(panel).getAllByRole('radio', { name: answer })) {
      // "None" is an answer about the queen as well, which was given already.
      if (answer === 'None' && radio.closest('fieldset')?.getAttribute('aria-label')?.endsWith('queen'))
        continue;
      fireEvent.click(radio);
    }
  }
  fireEvent.click(within(panel).getByRole('button', { name: 'Finish' }));
}
