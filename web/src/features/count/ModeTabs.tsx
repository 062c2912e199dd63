import { memo, useRef } from 'react';
import { onTap } from '../../ui/onTap.ts';
import styles from './ModeTabs.module.css';

/** The ways to count, in the order of their tabs. */
export const MODES = [
  { id: 'frames', label: 'Frames' },
  { id: 'quick', label: 'Quick' },
  { id: 'line', label: 'Shorthand', short: 'Line' },
  { id: 'seen', label: 'Queen, brood and notes', short: 'Notes' },
] as const;
export type Mode = (typeof MODES)[number]['id'];

/** The id of the panel that the tabs switch, and of the tab that names it. */
export const PANEL_ID = 'count-panel';
export const tabId = (mode: Mode) => `count-tab-${mode}`;

/** Tabs as the ARIA practices have them: one stop for the Tab key, arrows between them. */
export const ModeTabs = memo(function ModeTabs({
  mode,
  onMode,
}: {
  readonly mode: Mode;
  readonly onMode: (mode: Mode) => void;
}) {
  const list = useRef<HTMLDivElement>(null);
  const at = MODES.findIndex((m) => m.id === mode);
  const move = (by: number) => {
    const next = MODES[(at + by + MODES.length) % MODES.length];
    if (!next) return;
    onMode(next.id);
    list.current?.querySelector<HTMLElement>(`#${tabId(next.id)}`)?.focus();
  };
  return (
    <div ref={list} role="tablist" aria-label="How to count" className={styles.tabs}>
      {MODES.map((m) => (
        <button
          key={m.id}
          type="button"
          role="tab"
          data-short={'short' in m ? m.short : undefined}
          id={tabId(m.id)}
          aria-selected={m.id === mode}
          aria-controls={PANEL_ID}
          tabIndex={m.id === mode ? 0 : -1}
          {...onTap(() => onMode(m.id))}
          onKeyDown={(e) => {
            if (e.key === 'ArrowRight') move(1);
            else if (e.key === 'ArrowLeft') move(-1);
            else return;
            e.preventDefault();
            e.stopPropagation();
          }}
        >
          {m.label}
        </button>
      ))}
    </div>
  );
});
