import Ajv2020 from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { applyChanges } from '../records/change.ts';
import { emptyApiary, operationOf } from '../records/records.ts';
import { coloniesOfYard } from '../records/views.ts';
import { colonyState } from '../colony/colonyState.ts';
import { bundle, fromBundle, toBundle } from '../formats/bundle.ts';
import { DEMO_DAY, demoColonyNames, demoScenario } from './scenario.ts';

const scenario = demoScenario();

describe('the demonstration', () => {
  it('is the same every time', () => {
    expect(demoScenario()).toEqual(scenario);
  });

  it('has two yards, about a dozen colonies, a donor, a weak one, a nuc and a split due today', () => {
    expect(Object.keys(scenario.apiary.yard)).toHaveLength(2);
    expect(demoColonyNames(scenario).length).toBeGreaterThanOrEqual(12);
    const states = Object.values(scenario.apiary.yard).flatMap((y) =>
      coloniesOfYard(scenario.apiary, y.id).map((c) => colonyState(scenario.apiary, c, DEMO_DAY)),
    );
    const of = (name: string) => states.find((s) => s.colony.name === name);
    expect(of('Tansy')).toMatchObject({ lane: 'strong', notice: { urgent: false } });
    expect(of('Sorrel')?.notice.words).toMatch(/^Swarm cells: act by/);
    expect(of('Burnet')?.lane).toBe('weak');
    expect(of('Clary')?.notice.words).toMatch(/Nuc is full/);
    expect(of('Campion')?.notice.words).toBe('Inspect today');
    expect(of('Campion II')?.queen.state).toBe('unknown-part');
    expect(of('Melilot')).toMatchObject({
      lane: 'raising',
      notice: { id: 'hands-off', words: expect.stringMatching(/Hands off until/) as string },
    });
    expect(of('Sainfoin')?.queen).toMatchObject({ state: 'here' });
  });

  it('follows from its journal alone', () => {
    const start = {
      ...emptyApiary(),
      operation: { [operationOf(scenario.apiary).id]: operationOf(scenario.apiary) },
    };
    const replayed = scenario.journal.reduce(
      (a, e) => applyChanges(a, e.body.changes),
      start as typeof scenario.apiary,
    );
    expect(replayed).toEqual(scenario.apiary);
  });
});

describe('the file of a whole operation', () => {
  const file = toBundle(scenario.apiary, scenario.journal);

  it('is read back exactly, through text', () => {
    const back = fromBundle(JSON.parse(JSON.stringify(file)));
    if (!back.ok) throw new Error(JSON.stringify(back.problems));
    expect(back.value.apiary).toEqual(scenario.apiary);
    expect(back.value.journal).toEqual(scenario.journal);
    expect(toBundle(back.value.apiary, back.value.journal)).toEqual(file);
  });

  it('is valid under its published JSON Schema, by a validator that is not ours', () => {
    const ajv = new Ajv2020({ strict: false, validateFormats: false });
    const validate = ajv.compile(z.toJSONSchema(bundle, { target: 'draft-2020-12' }) as object);
    expect(validate(JSON.parse(JSON.stringify(file)))).toBe(true);
    expect(validate({ ...file, format: 'something-else' })).toBe(false);
  });

  it('is refused as a whole, with the place, when a record is missing or a slot is taken twice', () => {
    const text = JSON.stringify(file);
    const noVisit = JSON.parse(text) as typeof file;
    const of = noVisit.records.reading.find((r) => r.visitId !== null)?.visitId;
    noVisit.records.visit = noVisit.records.visit.filter((v) => v.id !== of);
    const dangling = fromBundle(noVisit);
    expect(dangling.ok ? '' : dangling.problems[0]?.message).toMatch(/visit that is not in the file/);
    const twice = JSON.parse(text) as typeof file;
    const [a, b] = twice.records.frame.filter((f) => f.place === 'box');
    Object.assign(a!, { boxId: b!.boxId, slot: b!.slot });
    const taken = fromBundle(twice);
    expect(taken.ok ? '' : taken.problems.map((p) => p.code)).toContain('slot-taken');
  });

  it('says which version it reads when it meets another', () => {
    const newer = fromBundle({ ...file, version: 9 });
    expect(newer.ok ? '' : newer.problems[0]?.message).toBe(
      'This file has version 9; this Incremen reads versions 1 to 2.',
    );
  });
});
