import {
  type Apiary,
  boxesOfColony,
  framesOfColony,
  housemates,
  placeOf,
  readingOf,
  rulesOut,
  type NucRecipe,
  type YardGoalOf,
  type YardGoal,
  type Yard,
  type YardPlanRequest,
} from '../../records/index.ts';
import { dayInWords, yearOf, type Day, type Problem, type ProblemCode } from '../../basics/index.ts';
import { shareOf } from '../../comb/index.ts';
import { aboutToSwarm } from './aboutToSwarm.ts';
import { carriedTo, tooNear } from '../../colony/index.ts';
import {
  fewerBoxes,
  type FewerBoxes,
  increaseGate,
  mayBeginSooner,
  openingGate,
  type SeasonGate,
} from '../../forecast/index.ts';

/** A patch that is more than a slip of the eye, as a share of the comb. */
const BROOD_IN_SUPER = 0.05;

/** What is wrong with a request before anything is reckoned: things that are gone, or that cannot be. */
export function problemsOfRequest(apiary: Apiary, request: YardPlanRequest): Problem[] {
  return [
    ...request.yardIds.flatMap((id, i) =>
      apiary.yard[id]
        ? []
        : [
            problem(
              'unknown-yard',
              ['yardIds', i],
              'This yard is not there any more.',
              'Choose another yard.',
            ),
          ],
    ),
    ...problemsOfSeason(apiary, request),
    ...request.goals.flatMap((g, i) => problemsOfGoal(apiary, request, g, ['goals', i])),
    ...sameIdTwice(request),
    ...problemsOfPins(apiary, request),
  ];
}

type Path = readonly (string | number)[];

const problem = (code: ProblemCode, path: Path, message: string, remedy: string): Problem => ({
  code,
  path,
  message,
  remedy,
});

/** What the time of the year forbids in every yard of the request. */
function problemsOfSeason(apiary: Apiary, request: YardPlanRequest): Problem[] {
  const yards = request.yardIds.flatMap((id) => apiary.yard[id] ?? []);
  const [first] = yards;
  if (!first) return [];
  /** The gate of the first yard, where all are shut: one that is open is planned with. */
  const shut = (gate: (yard: Yard) => SeasonGate | null) => {
    const gates = yards.map(gate);
    return gates.every((g) => g !== null) ? (gates[0] ?? null) : null;
  };
  const later = (next: Day) => `Plan it for ${dayInWords(next)} ${yearOf(next)} or later.`;
  const winter = shut((y) => openingGate(apiary, y, request.day));
  if (winter) return [problem('season', ['day'], winter.why, later(winter.next))];
  return request.goals.flatMap((g, i) => {
    if (g.kind !== 'makeNucs') return [];
    const gate = shut((y) =>
      increaseGate(apiary, y, request.day, g.recipe.queen, mayBeginSooner(apiary, y, request.day)),
    );
    return gate ? [problem('season', ['goals', i], gate.why, later(gate.next))] : [];
  });
}

function problemsOfGoal(apiary: Apiary, request: YardPlanRequest, goal: YardGoal, path: Path): Problem[] {
  switch (goal.kind) {
    case 'makeNucs':
      return [
        ...problemsOfRecipe(goal.recipe, [...path, 'recipe']),
        ...problemsOfWhole(apiary, request, goal, path),
        ...nearYards(apiary, request, goal.recipe, [...path, 'recipe', 'toYardId']),
      ];
    case 'level':
      return [];
    case 'unite':
      return goal.fromId === goal.intoId
        ? [
            problem(
              'unite-with-itself',
              [...path, 'intoId'],
              'A colony cannot be united with itself.',
              'Choose two colonies.',
            ),
          ]
        : [
            ...missing(apiary, request, goal.fromId, [...path, 'fromId']),
            ...missing(apiary, request, goal.intoId, [...path, 'intoId']),
            ...apart(apiary, goal.fromId, goal.intoId, path),
            ...aboutToSwarm(apiary, goal.fromId, request.day, 'unite', [...path, 'fromId']),
            ...aboutToSwarm(apiary, goal.intoId, request.day, 'unite', [...path, 'intoId']),
            ...sharesHive(apiary, goal.fromId, [...path, 'fromId']),
            ...sharesHive(apiary, goal.intoId, [...path, 'intoId']),
          ];
    case 'hiveUp': {
      const gone = missing(apiary, request, goal.colonyId, [...path, 'colonyId']);
      if (gone.length > 0) return gone;
      const shared = sharesHive(apiary, goal.colonyId, [...path, 'colonyId']);
      if (shared.length > 0) return shared;
      const colony = apiary.colony[goal.colonyId];
      const frames = colony ? framesOfColony(apiary, colony).length : 0;
      const room = goal.above === 'brood' ? 2 * goal.slots : goal.slots;
      if (goal.droneComb === true && frames === room) {
        return [
          problem(
            'no-slot-for-drones',
            [...path, 'droneComb'],
            `${colony?.name} has ${frames} frames: its new box has no slot left for a drone comb.`,
            'Choose a box of more frames, a second box for brood, or leave the drone comb out.',
          ),
        ];
      }
      return frames > room
        ? [
            problem(
              'box-too-small',
              [...path, 'slots'],
              `${colony?.name} has ${frames} frames; ${goal.above === 'brood' ? 'two boxes' : 'a box'} of ${goal.slots} ${goal.above === 'brood' ? 'do' : 'does'} not hold them.`,
              goal.above === 'brood'
                ? 'Choose larger boxes.'
                : `Choose a box of ${frames} slots or more, or two boxes.`,
            ),
          ]
        : [];
    }
    case 'shrink': {
      const gone = missing(apiary, request, goal.colonyId, [...path, 'colonyId']);
      if (gone.length > 0) return gone;
      const colony = apiary.colony[goal.colonyId];
      const boxes = colony ? boxesOfColony(apiary, colony).filter((b) => b.role === 'brood').length : 0;
      if (goal.boxes >= boxes)
        return [
          problem(
            'nothing-to-shrink',
            [...path, 'boxes'],
            `${colony?.name} has ${boxes} brood ${boxes === 1 ? 'box' : 'boxes'} already.`,
            boxes > 1
              ? 'Ask for fewer boxes than it has.'
              : 'It cannot be brought down further: choose another colony.',
          ),
        ];
      // A nuc or a neighbour may take what is over: then the plan has to say whether it fits.
      const alone = request.goals.every((g) => g.kind === 'shrink');
      const room = colony && alone ? fewerBoxes(apiary, colony, request.day, goal.boxes) : null;
      return colony && room?.tooMuch ? [doesNotFit(colony.name, goal.boxes, room, [...path, 'boxes'])] : [];
    }
    case 'calm':
      return goal.colonyIds.flatMap((id, k) => {
        const at = [...path, 'colonyIds', k];
        const gone = missing(apiary, request, id, at);
        return gone.length > 0 ? gone : aboutToSwarm(apiary, id, request.day, 'calm', at);
      });
    case 'raise':
    case 'relieve':
    case 'provision':
      return goal.colonyIds.flatMap((id, k) => missing(apiary, request, id, [...path, 'colonyIds', k]));
  }
}

/** Why a colony is not brought down to fewer boxes, and what would make it possible. Nothing is taken out of it. */
function doesNotFit(name: string, boxes: number, room: FewerBoxes, path: Path): Problem {
  const into = boxes === 1 ? 'one box' : `${boxes} boxes`;
  const kg = (n: number) => `${Math.round(n)} kg`;
  switch (room.tooMuch) {
    case 'bees':
      return problem(
        'does-not-fit',
        path,
        `${name} has ${Math.round(room.framesOfBees)} frames of bees; ${into} of ${room.slots} combs cannot hold them.`,
        'Leave it as it is, make a late nuc with a mated queen of what is over, or strengthen a weak hive with combs and bees first.',
      );
    case 'food':
      return problem(
        'does-not-fit',
        path,
        `${name} needs about ${kg(room.needKg ?? 0)} for the winter: ${room.broodCombs} combs of brood and ${room.foodCombs} of food are more than the ${room.slots} that ${into} can hold.`,
        'Wait until brood has emerged and its combs are filled, or leave the food above as a second box.',
      );
    case 'brood':
    case null:
      return problem(
        'does-not-fit',
        path,
        `${name} has ${room.broodCombs} combs with brood; ${into} can hold ${room.slots}.`,
        'Wait until some of them have emerged, or give one to a hive that is short.',
      );
  }
}

/** A colony that is broken up whole, and what else is asked of it. */
function problemsOfWhole(
  apiary: Apiary,
  request: YardPlanRequest,
  goal: YardGoalOf<'makeNucs'>,
  path: Path,
): Problem[] {
  const id = goal.wholeOfId;
  if (id === undefined) return [];
  const at = [...path, 'wholeOfId'];
  const gone = [...missing(apiary, request, id, at), ...sharesHive(apiary, id, at)];
  const colony = apiary.colony[id];
  if (gone.length > 0 || !colony) return gone;
  const other = request.goals.find(
    (g) =>
      g !== goal &&
      ((g.kind === 'makeNucs' && g.wholeOfId === id) ||
        ((g.kind === 'shrink' || g.kind === 'hiveUp') && g.colonyId === id) ||
        (g.kind === 'unite' && [g.fromId, g.intoId].includes(id))),
  );
  if (other)
    return [
      problem(
        'goals-contradict',
        at,
        `${colony.name} is to be broken up whole, and another goal changes its boxes.`,
        'Keep one of the two goals.',
      ),
    ];
  // The super is taken off before anything is broken up: brood in it would have no place.
  const brood = framesOfColony(apiary, colony).filter(
    (f) =>
      f.box.role === 'super' && shareOf(readingOf(f), 'eggs', 'open', 'capped', 'emerging') > BROOD_IN_SUPER,
  );
  if (brood.length > 0)
    return [
      problem(
        'supers-on',
        at,
        `There is brood in the super of ${colony.name}: ${brood.map((f) => `frame ${f.slot}`).join(', ')}.`,
        'Look for the queen there and bring her below an excluder; when that brood has emerged, break it up.',
      ),
    ];
  const { sizeId } = goal.recipe;
  return framesOfColony(apiary, colony).some(
    (f) => f.box.role === 'brood' && f.frame.sizeId !== sizeId && f.box.sizeId !== sizeId,
  )
    ? [
        problem(
          'size',
          at,
          `The combs of ${colony.name} do not fit the boxes of the recipe.`,
          'Choose the frame size of the hive in the recipe.',
        ),
      ]
    : [];
}

/** A yard within flying range of one that nucs are made in. */
const nearYards = (apiary: Apiary, request: YardPlanRequest, recipe: NucRecipe, path: Path): Problem[] =>
  recipe.distance !== 'away'
    ? []
    : request.yardIds
        .flatMap((id) => {
          const to = carriedTo(apiary, id, recipe.toYardId);
          return (to && tooNear(apiary, id, to.id)) ?? [];
        })
        .slice(0, 1)
        .map((p) => ({ ...p, path }));

/** A recipe that no box can hold. */
function problemsOfRecipe(recipe: NucRecipe, path: Path): Problem[] {
  const { broodCombs, storesCombs, emptyCombs, slots, broodFrames } = recipe;
  if (broodCombs.max < broodCombs.min) {
    return [
      problem(
        'recipe-turned-round',
        [...path, 'broodCombs'],
        `The recipe asks for at least ${broodCombs.min} and at most ${broodCombs.max} combs with brood.`,
        'Raise the one or lower the other.',
      ),
    ];
  }
  const combs = broodCombs.min + storesCombs + emptyCombs;
  if (combs > slots) {
    return [
      problem(
        'recipe-too-large',
        [...path, 'slots'],
        `The recipe asks for ${combs} combs: ${broodCombs.min} with brood, ${storesCombs} of stores, ${emptyCombs} empty. Its box holds ${slots}.`,
        `Take a box of ${combs} frames, or leave out ${combs - slots}.`,
      ),
    ];
  }
  if (broodFrames > broodCombs.max) {
    return [
      problem(
        'recipe-too-full',
        [...path, 'broodFrames'],
        `${broodFrames} full frames of brood do not fit on ${broodCombs.max} combs.`,
        `Ask for at most ${broodCombs.max}.`,
      ),
    ];
  }
  return [];
}

function missing(apiary: Apiary, request: YardPlanRequest, colonyId: string, path: Path): Problem[] {
  const colony = apiary.colony[colonyId];
  if (!colony || colony.endedOn !== null) {
    return [
      problem(
        'unknown-id',
        path,
        colony
          ? `${colony.name} is not there any more: it ended on ${colony.endedOn}.`
          : 'A goal names a colony that is not there any more.',
        'Take it out of the goal or choose another.',
      ),
    ];
  }
  const yard = placeOf(apiary, colony).yard;
  return yard && request.yardIds.includes(yard.id)
    ? []
    : [
        problem(
          'other-yard',
          path,
          `${colony.name} is not in the yards of this plan${yard ? `: it stands in ${yard.name}` : ''}.`,
          'Take its yard into the plan, or take it out of the goal.',
        ),
      ];
}

function apart(apiary: Apiary, a: string, b: string, path: Path): Problem[] {
  const yards = [a, b].map((id) => {
    const colony = apiary.colony[id];
    return colony ? placeOf(apiary, colony).yard?.id : undefined;
  });
  return yards[0] === yards[1]
    ? []
    : [
        problem(
          'yards-apart',
          path,
          'Colonies of two yards cannot be united in place.',
          'Move one hive to the other yard first, or unite it with a neighbour.',
        ),
      ];
}

function sharesHive(apiary: Apiary, colonyId: string, path: Path): Problem[] {
  const colony = apiary.colony[colonyId];
  const [other] = colony ? housemates(apiary, colony) : [];
  return colony && other
    ? [
        problem(
          'shared-hive',
          path,
          `${colony.name} shares its boxes with ${other.name}.`,
          'Give each a box of its own first, on the page of the hive.',
        ),
      ]
    : [];
}

function sameIdTwice(request: YardPlanRequest): Problem[] {
  const seen = new Set<string>();
  return request.goals.flatMap((g, i) => {
    if (seen.has(g.id)) {
      return [problem('goal-twice', ['goals', i, 'id'], 'Two goals have the same id.', 'Give each its own.')];
    }
    seen.add(g.id);
    return [];
  });
}

function problemsOfPins(apiary: Apiary, request: YardPlanRequest): Problem[] {
  const first = new Map<string, string>();
  return request.pins.flatMap((pin, i) => {
    const path = ['pins', i];
    const frame = apiary.frame[pin.frameId];
    if (!frame || frame.place === 'gone') {
      return [
        problem('pinned-frame-gone', path, 'A pinned frame is not there any more.', 'Take the pin away.'),
      ];
    }
    const before = first.get(pin.frameId);
    if (before !== undefined && before !== pin.to) {
      return [
        problem(
          'pins-contradict',
          path,
          'One frame is pinned to two places.',
          'A comb cannot be in two boxes: keep one of the two pins.',
        ),
      ];
    }
    first.set(pin.frameId, pin.to);
    return request.forbids.some((ban) => rulesOut(ban, pin))
      ? [
          problem(
            'pin-forbidden',
            path,
            'A frame is pinned to a place that is forbidden to it.',
            'Take away the pin or the ban.',
          ),
        ]
      : [];
  });
}
