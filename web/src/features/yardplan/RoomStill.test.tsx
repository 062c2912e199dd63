import { demoScenario } from '@incremen/core/demo';
import { newYardPlanRequest, type YardGoal } from '@incremen/core/records';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { renderView } from '../../testing/renderView.tsx';
import { RoomStill } from './RoomStill.tsx';

const { apiary } = demoScenario();
const idOf = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)?.id ?? '';
const show = (...goals: YardGoal[]) =>
  renderView(
    <RoomStill
      apiary={apiary}
      request={{ ...newYardPlanRequest(Object.keys(apiary.yard), '2026-05-15'), goals }}
    />,
  );

describe('room for who is kept from swarming', () => {
  it('is asked for where its bees will soon cover its combs, in the words of its page', () => {
    show({ id: 'c', kind: 'calm', colonyIds: [idOf('Tansy'), idOf('Burnet')], importance: 2 });
    expect(screen.getByText('Tansy needs more than combs:').parentElement?.textContent).toMatch(
      /^Tansy needs more than combs: bees cover nearly all combs .*: give it a box .*, or take brood from it\.$/,
    );
    expect(screen.queryByText(/^Burnet/)).toBeNull();
  });

  it('is no matter of other goals', () => {
    show({ id: 'l', kind: 'level', by: 'capped', importance: 2 });
    expect(screen.queryByText(/give it a box/)).toBeNull();
  });
});
