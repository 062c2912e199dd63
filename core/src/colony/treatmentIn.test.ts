import { describe, expect, it } from 'vitest';
import { prepareDonor } from '../split/base/donor.ts';
import { situationOf } from '../split/base/situation.ts';
import { findMethods } from '../split/methods/findMethods.ts';
import { DEFAULT_HOUSE_RULES } from '../rules/index.ts';
import { NO } from '../testing/queenLooks.ts';
import { NEST, Scene } from '../testing/scene.ts';
import { treatmentFirst, treatmentIn } from './treatmentIn.ts';

const IN = '2026-05-10';
const DAY = '2026-05-14';

/** Strips hang in it, to come out on a day. */
function treated() {
  const s = new Scene(NEST);
  const givenId = s.newId();
  s.run({
    type: 'give',
    given: {
      id: givenId,
      colonyId: s.here.id,
      day: IN,
      outOn: null,
      note: '',
      body: { kind: 'treatment', what: 'Strips', outBy: '2026-06-21', pieces: 2 },
    },
    newIds: Array.from({ length: 4 }, () => s.newId()),
  });
  return { s, givenId };
}

describe('a treatment in the hive', () => {
  it('ends no planning without a way on: out first, with its day', () => {
    const { s } = treated();
    expect(treatmentIn(s.apiary, s.here, DAY)).toMatchObject({ what: 'Strips', outBy: '2026-06-21' });
    const plan = prepareDonor(s.apiary, s.here, DAY);
    expect(plan).toMatchObject({ ok: false, problems: [{ code: 'treated' }] });
    expect(plan.ok ? '' : plan.problems[0]?.remedy).toMatch(/Take strips out first, by Sun 21 Jun/);
    const advice = findMethods(situationOf(s.apiary, s.here, DAY), DEFAULT_HOUSE_RULES);
    expect(advice.waitBecause.join(' ')).toMatch(/Take strips out first, by Sun 21 Jun/);
  });

  it('taken out, or not found any more, it keeps nobody from dividing', () => {
    const { s, givenId } = treated();
    s.run({ type: 'takeOut', givenId, day: DAY, leftKg: null });
    expect(treatmentFirst(s.apiary, s.here, DAY)).toBeNull();
    expect(treatmentIn(s.apiary, s.here, '2026-05-12')).not.toBeNull();
    expect(prepareDonor(s.apiary, s.here, DAY).ok).toBe(true);
    const { s: other } = treated();
    other.see(DAY, { treatment: NO });
    expect(treatmentIn(other.apiary, other.here, DAY)).toBeNull();
  });

  it('seen on an inspection counts as much as noted', () => {
    const s = new Scene(NEST);
    s.see(DAY, { treatment: { look: 'found', what: 'Gel' } });
    expect(treatmentFirst(s.apiary, s.here, DAY)?.remedy).toMatch(
      /Take gel out first, when its label says so/,
    );
  });
});
