import { boxesOfColony, queenOf, type WorkEffect, type StepDraft } from '../../records/index.ts';
import { addDays, listInWords } from '../../basics/index.ts';
import { isAboutToSwarm } from '../../colony/index.ts';
import { bestUnion, unionOfAll } from '../unit/partners.ts';
import { usualHorizon } from '../unit/usualHorizon.ts';
import { layingChance, type UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, type ActionChoice, type ActionPlan } from './actionPlan.ts';
import { combsForOneBox, layOneBox } from './oneBox.ts';
import { oneBoxSteps, paperSteps, partitionSteps } from './unionSteps.ts';
import { hostOf, keptOf, sameHive, sharesBoxes, wayToUnite } from './unionWays.ts';

/**
 * Unites a unit with another, or with several: which queen stays, over paper or comb to comb, at dusk or by day, which
 * combs stay and in what order, what goes to the store, and what to check in a week.
 */
export function combine(
  facts: UnitFacts,
  all: readonly UnitFacts[],
  choice: ActionChoice,
): ActionPlan | null {
  const horizon = usualHorizon(facts);
  const others = (ids: readonly (string | undefined)[]) =>
    all.filter((o) => ids.includes(o.colony.id) && o.colony.id !== facts.colony.id);
  const chosen = others([choice.partnerId]);
  const best = chosen.length > 0 ? null : bestUnion(facts, all, horizon);
  const first = best ? [best.partner] : chosen;
  const also = others(choice.alsoIds ?? []).filter((o) => !first.includes(o));
  const units: [UnitFacts, ...UnitFacts[]] = [facts, ...first, ...also];
  if (first.length === 0 || units.some((u) => u.sick)) return null;
  const host = hostOf(units, choice.boxOf);
  const guests = units.filter((u) => u !== host);
  const how = wayToUnite(units, choice);
  const when = choice.when ?? 'dusk';
  const beside = guests.filter((g) => sameHive(host, g));
  const away = guests.filter((g) => !beside.includes(g));
  // Behind a partition with another unit: its box cannot be set on another hive.
  if (how === 'paper' && away.some(sharesBoxes)) return null;
  const union = unionOfAll(units, horizon);
  const queen = queensOf(host, guests, union.queenOf);
  const fits = how === 'paper' ? null : combsForOneBox(host, guests);
  const inOne = typeof fits === 'string' ? null : fits;
  const laid = inOne ? layOneBox(inOne, how === 'sheet') : { moves: [], detail: '', left: 0 };
  const { nameOf, standOf } = keptOf(units, choice);
  const standGoesTo = (g: UnitFacts) => standOf === g.colony.id && !sameHive(host, g);
  const newStand = guests.find(standGoesTo);
  const boxesOfGuests = new Set(guests.flatMap((g) => boxesOfColony(g.apiary, g.colony).map((b) => b.id)));
  return {
    ...EMPTY_PLAN,
    name: `unite ${listInWords(guests.map((g) => g.colony.name))} with ${host.colony.name}`,
    units: [
      { facts: host, after: union.unit },
      ...guests.map((g) => ({ facts: g, after: { bees: 0, eggs: 0, open: 0, capped: 0 } })),
    ],
    moves: laid.moves,
    queenOf: union.queenOf?.colony.id ?? null,
    unions: guests.map((g) => ({
      fromId: g.colony.id,
      intoId: host.colony.id,
      ...(nameOf === g.colony.id && { nameOf: g.colony.id }),
      ...(standGoesTo(g) && { standOf: g.colony.id }),
    })),
    emptiedBoxIds: inOne ? [...boxesOfGuests] : [],
    effects: queen.effects,
    steps: [
      ...queen.steps,
      ...(inOne
        ? oneBoxSteps(host, guests, laid, how === 'sheet', when)
        : [
            ...(beside.length > 0 ? partitionSteps(host) : []),
            ...(away.length > 0 ? paperSteps(host, away, when) : []),
          ]),
      ...(newStand
        ? [
            {
              kind: 'lift' as const,
              units: [host.colony.id],
              text: `Set the united hive on the stand of ${newStand.colony.name}`,
              detail: `Box by box, from the bottom. The field bees of ${host.colony.name} look for their old stand: move at dusk, with a branch before the entrance.`,
            },
          ]
        : []),
      ...away
        .filter((g) => g !== newStand)
        .map((g) => ({
          kind: 'check' as const,
          text: `Nothing is left on the old stand of ${g.colony.name}`,
          detail: 'A box there would collect its field bees.',
        })),
      {
        kind: 'close',
        units: [host.colony.id],
        text: `Close ${host.colony.name}; entrance to a finger’s width`,
        detail: 'Feed only if nothing comes in, and in the evening.',
      },
    ],
    looks: [
      {
        colonyIds: [host.colony.id],
        topic: 'rhythm',
        window: {
          earliest: addDays(facts.day, 6),
          likely: addDays(facts.day, 7),
          latest: addDays(facts.day, 10),
        },
        expect: inOne
          ? how === 'sheet'
            ? 'The sheet is gone, eggs are becoming larvae. Then brood to brood, and what is left of the paper out.'
            : 'Eggs are becoming larvae, and bees cover the combs. Then the weakest comb can go.'
          : 'The paper is gone, eggs are becoming larvae. Then brood to brood in one box, and what is empty to the store.',
      },
    ],
    cautions: [
      ...units.flatMap((u) =>
        u === facts || u.shut === null ? [] : [`${u.colony.name} is to stay shut today. ${u.shut}`],
      ),
      ...units
        .filter((u) => isAboutToSwarm(u.state))
        .map(
          (u) => `${u.colony.name} has swarm cells: it would swarm with the bees of both. Divide it first.`,
        ),
      'Never unite to hide disease: nothing leaves a colony with suspect brood.',
      'Lifting: a full box may exceed 35 kg (80 lb). Take combs out, or lift in pairs.',
      ...(away.length > 1 && !inOne
        ? ['A tall stack tips over: strap it, and take boxes off from the top first.']
        : []),
    ],
    kit: [
      ...(how === 'direct' ? [] : [{ what: 'sheet of newspaper', count: guests.length }]),
      ...(laid.left > 0 ? [{ what: 'dummy board', count: 1 }] : []),
    ],
  };
}

/** Which queen stays, and what is done about the others. */
function queensOf(
  host: UnitFacts,
  guests: readonly UnitFacts[],
  stays: UnitFacts | null,
): { effects: WorkEffect[]; steps: StepDraft[] } {
  const known = (f: UnitFacts) => queenOf(f.apiary, f.colony.id) !== undefined;
  const others = [host, ...guests].filter((u) => u !== (stays ?? host));
  const effects: WorkEffect[] = others
    .filter(known)
    .map((o) => ({ kind: 'queen-out', colonyId: o.colony.id }));
  if (stays && stays !== host && known(stays))
    effects.push({ kind: 'queen-over', colonyId: stays.colony.id, intoId: host.colony.id });
  if (!stays) return { effects, steps: [] };
  const steps = others
    .filter((o) => known(o) || layingChance(o) + o.belief.odds.virgin + o.belief.odds['drone-layer'] > 0.15)
    .map((o): StepDraft => {
      const young = o.belief.odds.virgin + o.belief.odds.cells > 0.5;
      return {
        kind: 'find',
        task: 'find-queen',
        text: `Find the queen${young ? ', virgin or cells' : ''} of ${o.colony.name} and take ${young ? 'them' : 'her'} out`,
        detail: `The queen of ${stays.colony.name} stays: she ${layingChance(stays) > layingChance(o) + 0.2 ? 'lays more surely' : 'is younger or lays better'}. Both left together, the better one may be lost. The spare queen can stand by in a nuc.`,
      };
    });
  return { effects, steps };
}
