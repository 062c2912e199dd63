import { demoScenario } from '@incremen/core/demo';
import { noEvidence, visitsOf, type Apiary, type Reading, type Visit } from '@incremen/core/records';
import { cleanup, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { DescentTree } from './DescentTree.tsx';
import { seenInWords } from '../../shared/evidence/seenInWords.ts';
import { Diary } from './Diary.tsx';
import { NoteText } from './NoteText.tsx';

const { apiary } = demoScenario();
const colony = Object.values(apiary.colony).find((c) => c.name === 'Yarrow')!;
const [latest] = visitsOf(apiary, colony.id) as [Visit];

function show(visit: Partial<Visit>, readings: readonly Reading[] = [], whole: Apiary = apiary) {
  return renderView(<Diary visits={[{ ...latest, ...visit }]} apiary={whole} readings={readings} />);
}

describe('what was seen, in a line', () => {
  it('names what was found and what was looked for in vain, and nothing else', () => {
    expect(seenInWords(noEvidence(10))).toBe('');
    expect(
      seenInWords({
        ...noEvidence(10),
        queen: { look: 'found', build: 'slim', dot: 'none' },
        eggs: { look: 'found', perCell: 'several', place: 'walls' },
        youngLarvae: { look: 'notFound' },
        cappedBrood: { look: 'found', cappings: 'flat', patch: 'compact' },
        cells: {
          look: 'found',
          cells: [
            { kind: 'cup', count: 2 },
            { kind: 'capped', count: 1 },
          ],
        },
        diseaseSigns: { look: 'notFound' },
        treatment: { look: 'found', what: 'strips since 1 May' },
        robbing: { look: 'notFound' },
        mood: 'calm',
      }),
    ).toBe(
      'queen seen, slender, no mark, several eggs a cell, no small larvae, capped brood, compact, 3 queen cells, no signs of brood disease, treatment in the hive (strips since 1 May), no robbing, calm',
    );
    expect(seenInWords({ ...noEvidence(10), queen: { look: 'notFound' } })).toBe('queen not seen');
  });
});

describe('an entry of the diary', () => {
  it('says when, how many frames, and whether they are estimated', () => {
    const readings = Object.values(apiary.reading).filter((r) => r.visitId === latest.id);
    show({ time: '09:40' }, readings);
    expect(screen.getByRole('listitem').textContent).toContain(', 09:40 counted, 10 frames');
    cleanup();
    const spread = readings.map((r) => ({ ...r, body: { ...r.body, estimated: true } }));
    show({ time: '09:40' }, spread);
    expect(screen.getByRole('listitem').textContent).toMatch(/, 09:40 counted, 10 frames, estimated/);
  });

  it('tells weather and time in the units of the operation', () => {
    show({ conditions: { v: 1, temperatureC: 17.6, sky: 'sun', wind: 'wind', minutesOpen: 1 } });
    expect(screen.getByText('sun · windy · 18 °C · open 1 minute')).toBeTruthy();
  });

  it('tells of a clash, which count stands, and how to settle it', () => {
    const other = { ...latest, id: crypto.randomUUID(), time: '10:15' };
    const both = { ...apiary, visit: { ...apiary.visit, [other.id]: other } };
    show({ clash: { v: 1, withVisitId: other.id, frames: 3, stands: 'other' } }, [], both);
    const text = screen.getByRole('listitem').textContent;
    expect(text).toContain('3 frames were also counted on another device at 10:15.');
    expect(text).toContain('That count is the later and stands; both are kept.');
    expect(screen.getByRole('link', { name: 'count again' }).getAttribute('href')).toContain('/count');
  });

  it('a colony that was never visited has no diary', () => {
    const { container } = renderView(<Diary visits={[]} apiary={apiary} readings={[]} />);
    expect(container.textContent).toBe('');
  });
});

describe('a note', () => {
  it('draws frames in shorthand and leaves every other bracket as it was written', () => {
    renderView(<NoteText note="Third frame [h2 c *9 q], lid [see list]." />);
    expect(screen.getByRole('img', { name: '[h2 c *9 q]' })).toBeTruthy();
    expect(screen.getByText(/lid/).textContent).toContain(', lid ');
    expect(screen.getByText('[see list]')).toBeTruthy();
  });
});

describe('descent', () => {
  it('shows whom a colony came from and what came from it, and nothing for one without kin', () => {
    const child = Object.values(apiary.colony).find((c) => c.name === 'Campion II')!;
    renderView(<DescentTree colony={child} />);
    expect(screen.getAllByRole('link').map((a) => a.textContent)).toEqual([
      expect.stringMatching(/^Campionsince/),
      expect.stringMatching(/^Campion IIsplit/),
    ]);
    cleanup();
    const { container } = renderView(<DescentTree colony={colony} />, demoStore());
    expect(container.textContent).toBe('');
  });
});
