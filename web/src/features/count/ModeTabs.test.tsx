import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { ModeTabs, MODES, PANEL_ID, tabId, type Mode } from './ModeTabs.tsx';

function Tabs() {
  const [mode, setMode] = useState<Mode>('frames');
  return (
    <>
      <ModeTabs mode={mode} onMode={setMode} />
      <div id={PANEL_ID} role="tabpanel" aria-labelledby={tabId(mode)}>
        {mode}
      </div>
    </>
  );
}

it('tabs are one stop for the Tab key, and arrows go round (ARIA Authoring Practices, tabs)', async () => {
  const user = userEvent.setup();
  render(<Tabs />);
  await user.tab();
  expect(document.activeElement?.textContent).toBe('Frames');
  await user.keyboard('{ArrowRight}{ArrowRight}');
  expect(screen.getByRole('tabpanel').textContent).toBe('line');
  expect(document.activeElement?.textContent).toBe('Shorthand');
  await user.keyboard('{ArrowRight}{ArrowRight}');
  expect(screen.getByRole('tabpanel').textContent).toBe('frames');
  await user.keyboard('{ArrowLeft}');
  expect(screen.getByRole('tab', { selected: true }).textContent).toBe('Queen, brood and notes');
  expect(screen.getAllByRole('tab').filter((t) => t.tabIndex === 0)).toHaveLength(1);
  expect(MODES.map((m) => screen.getByText(m.label).getAttribute('aria-controls'))).toEqual(
    MODES.map(() => PANEL_ID),
  );
});
