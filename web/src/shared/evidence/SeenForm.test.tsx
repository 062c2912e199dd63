import { noEvidence, type Evidence } from '@incremen/core/records';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { renderView } from '../../testing/renderView.tsx';
import { NO_CONDITIONS } from './ConditionsFields.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';
import { SeenForm, type Seen } from './SeenForm.tsx';

let seen: Seen;
const remember = (state: Seen) => {
  seen = state;
};
function Form({ units = 'metric' as 'metric' | 'imperial' }) {
  const [state, setState] = useState<Seen>({
    evidence: noEvidence(10),
    conditions: NO_CONDITIONS,
    photos: [],
    note: '',
  });
  useEffect(() => remember(state), [state]);
  const frames = [{ id: '8f14e45f-ceea-467f-a0d6-2f6c9b1d1a11', name: 'box, frame 3' }];
  return <SeenForm seen={state} onChange={setState} colonyName="Yarrow" frames={frames} units={units} />;
}
const group = (name: string) => within(screen.getByRole('group', { name: `Yarrow: ${name}` }));
let user: ReturnType<typeof userEvent.setup>;
const say = (name: string, answer: string) => user.click(group(name).getByText(answer));
beforeEach(() => {
  user = userEvent.setup();
});

describe('what is seen besides frames', () => {
  it('asks how much was read, since none counts for that alone', async () => {
    renderView(<Form />);
    const hint = /counts for the frames that were read/;
    expect(screen.queryByText(hint)).toBeNull();
    await say('eggs', 'None');
    expect(screen.getByText(hint)).toBeTruthy();
    await say('frames read', 'All 10');
    expect(seen.evidence).toMatchObject({ framesRead: 10, eggs: { look: 'notFound' } });
    expect(screen.queryByText(hint)).toBeNull();
    await say('frames read', 'Not all');
    expect(seen.evidence.framesRead).toBeLessThan(10);
  });

  it('begins with nothing looked at, and keeps found, none and not looked apart', async () => {
    renderView(<Form />);
    expect(seen.evidence).toEqual(noEvidence(10));
    await say('small larvae', 'None');
    await say('larger larvae', 'Found');
    expect(seen.evidence).toMatchObject({
      youngLarvae: { look: 'notFound' },
      olderLarvae: { look: 'found' },
      eggs: { look: 'notLooked' },
    });
    await say('small larvae', 'Not looked');
    expect(seen.evidence.youngLarvae).toEqual({ look: 'notLooked' });
  });

  it('asks of eggs how many a cell, and where only when there are several', async () => {
    renderView(<Form />);
    await say('eggs', 'Found');
    expect(screen.queryByRole('group', { name: 'Yarrow: place of eggs' })).toBeNull();
    await say('eggs a cell', 'Several a cell');
    await say('place of eggs', 'On cell walls');
    expect(seen.evidence.eggs).toEqual({ look: 'found', perCell: 'several', place: 'walls' });
  });

  it('takes the queen’s build, dot and frame, each only as far as it is known', async () => {
    renderView(<Form />);
    await say('queen', 'Found');
    await say('build of the queen', 'Slender');
    expect(seen.evidence.queen).toEqual({ look: 'found', build: 'slim' });
    await say('mark of the queen', 'No mark');
    await user.selectOptions(screen.getByLabelText('Yarrow: frame of the queen'), 'box, frame 3');
    expect(seen.evidence.queen).toMatchObject({ dot: 'none', frameId: expect.any(String) });
    await say('mark of the queen', 'Mark not seen');
    await user.selectOptions(screen.getByLabelText('Yarrow: frame of the queen'), 'no frame noted');
    expect(seen.evidence.queen).toEqual({ look: 'found', build: 'slim' });
  });

  it('counts cells by kind, with edge and age of larva', async () => {
    renderView(<Form />);
    await say('queen cells', 'Found');
    await user.click(screen.getByRole('button', { name: 'One less: drawn, open' }));
    expect(seen.evidence.cells).toEqual({ look: 'notFound' });
    await say('queen cells', 'Found');
    await user.click(screen.getByRole('button', { name: 'One more: cups with larva' }));
    await user.selectOptions(screen.getByLabelText('Where: cups with larva'), 'on the bottom edge');
    await user.selectOptions(screen.getByLabelText('Age of the larva'), 'larva 2 days old');
    const { cells } = seen.evidence;
    expect(cells.look === 'found' && cells.cells.find((c) => c.kind === 'charged')).toEqual({
      kind: 'charged',
      count: 1,
      place: 'bottom-edge',
      larvaAgeDays: 2,
    });
  });

  it('describes sick brood and defers to inspectors; treatments to their label', async () => {
    renderView(<Form />);
    await say('signs of brood disease', 'Found');
    await user.click(screen.getByRole('button', { name: 'ropy larvae' }));
    await user.click(screen.getByRole('button', { name: 'foul smell' }));
    await user.click(screen.getByRole('button', { name: 'ropy larvae' }));
    expect(seen.evidence.diseaseSigns).toEqual({ look: 'found', signs: ['smell'] });
    expect(screen.getByText(/ask your bee inspector/)).toBeTruthy();
    await say('treatment', 'Found');
    await user.type(screen.getByLabelText('Which, and since when'), 'strips');
    expect(seen.evidence.treatment).toEqual({ look: 'found', what: 'strips' });
    expect(screen.getByText(/The label and your local rules/)).toBeTruthy();
  });

  it('takes temper, small signs, weather in the user’s degrees, and a note', async () => {
    renderView(<Form units="imperial" />);
    await user.click(within(screen.getByRole('group', { name: 'Yarrow: temper' })).getByText('Defensive'));
    await user.click(screen.getByLabelText('robbing: seen'));
    await user.click(screen.getByLabelText('ants: not there'));
    await user.click(screen.getByText('Breeze'));
    await user.type(screen.getByLabelText('Temperature, °F'), '68');
    await user.type(screen.getByLabelText('Open for, minutes'), '900');
    await user.type(screen.getByLabelText(/^Note/), 'Wet');
    expect(seen).toMatchObject({
      evidence: { mood: 'defensive', robbing: { look: 'found' }, ants: { look: 'notFound' } },
      // 68 °F are 20 °C, by definition of the scales.
      conditions: { temperatureC: 20, wind: 'breeze', minutesOpen: 600 },
      note: 'Wet',
    });
  });
});

describe('a question is drawn anew', () => {
  const set = () => undefined;
  const name = (w: string) => w;
  const props = (change: Partial<Evidence>): EvidenceProps => ({
    evidence: { ...noEvidence(1), ...change },
    set,
    name,
  });
  const same = sameEvidence<EvidenceProps>('mood');

  it('only when its own answer or what it calls has changed', () => {
    expect(same(props({}), props({ framesRead: 1 }))).toBe(true);
    expect(same(props({}), props({ mood: 'calm' }))).toBe(false);
    expect(same(props({}), { ...props({}), set: () => undefined })).toBe(false);
  });
});
