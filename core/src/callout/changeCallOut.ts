import { problemsOfReading } from '../comb/index.ts';
import type { Problem, ProblemCode } from '../basics/index.ts';
import type { CallOutBody, CallOutChange, CallPlace, FrameCall } from '../records/index.ts';

/** A break-up after a change, or why it cannot be. */
export type Changed =
  { readonly ok: true; readonly body: CallOutBody } | { readonly ok: false; readonly problem: Problem };

const refuse = (code: ProblemCode, message: string, remedy: string): Changed => ({
  ok: false,
  problem: { code, path: [], message, remedy },
});

/** What a change makes of a break-up. Pure; the frames themselves stay where the records have them until it is finished. */
export function changeCallOut(body: CallOutBody, change: CallOutChange): Changed {
  switch (change.what) {
    case 'call':
      return call(body, change.call);
    case 'take-back':
      return takeBack(body, change.callId);
    case 'place':
      return withCall(body, change.callId, (c) => place(body, c, change.to));
    case 'read':
      return withCall(body, change.callId, (c) => readAnew(body, { ...c, reading: change.reading }));
    case 'exchange':
      return exchange(body, change.callId, change.withId);
    case 'queen': {
      const { queen } = change;
      const others = body.queens.filter((q) => q.giverId !== queen.giverId);
      if (!body.givers.some((g) => g.colonyId === queen.giverId)) return noGiver;
      if (!['home', 'caged', 'gone'].includes(queen.now) && !unitOf(body, queen.now)) return noUnit;
      return done({ ...body, queens: [...others, queen] });
    }
    case 'queen-not-found':
      return done({ ...body, queens: body.queens.filter((q) => q.giverId !== change.giverId) });
    case 'close-unit': {
      if (!unitOf(body, change.key)) return noUnit;
      const units = body.units.map((u) => (u.key === change.key ? { ...u, closed: change.closed } : u));
      return done({ ...body, units });
    }
  }
}

const done = (body: CallOutBody): Changed => ({ ok: true, body });
const noUnit = refuse('unknown-unit', 'This part is not there any more.', 'Choose another.');
const noGiver = refuse('unknown-giver', 'This colony gives nothing in this break-up.', 'Choose a donor.');

const unitOf = (body: CallOutBody, key: string) => body.units.find((u) => u.key === key);

/** How frames are named when they are talked about. */
const unitName = (body: CallOutBody, key: string) => unitOf(body, key)?.name ?? 'a part';

function withCall(body: CallOutBody, callId: string, then: (call: FrameCall) => Changed): Changed {
  const found = body.calls.find((c) => c.id === callId);
  return found
    ? then(found)
    : refuse('unknown-call', 'This call was undone meanwhile.', 'Call the frame again.');
}

/** Why a frame cannot go to a place; null when it can. */
function placeProblem(body: CallOutBody, to: CallPlace, except: readonly string[]): Changed | null {
  if (to.at !== 'unit') return null;
  const unit = unitOf(body, to.key);
  if (!unit) return noUnit;
  if (unit.closed) {
    return refuse(
      'unit-closed',
      `The lid of ${unit.name} is on.`,
      `Open ${unit.name} again, or put the frame elsewhere.`,
    );
  }
  if (to.slot > unit.recipe.slots) {
    return refuse(
      'no-such-slot',
      `${unit.name} holds ${unit.recipe.slots} frames; slot ${to.slot} is not there.`,
      'Put the frame elsewhere.',
    );
  }
  const taken = body.calls.find(
    (c) => !except.includes(c.id) && c.to.at === 'unit' && c.to.key === to.key && c.to.slot === to.slot,
  );
  return taken
    ? refuse(
        'slot-taken',
        `Slot ${to.slot} of ${unit.name} has a frame already.`,
        'Choose a free slot, or exchange the two.',
      )
    : null;
}

function call(body: CallOutBody, given: FrameCall): Changed {
  if (!body.givers.some((g) => g.colonyId === given.giverId)) return noGiver;
  if (body.calls.some((c) => c.frameId === given.frameId)) {
    return refuse(
      'called-twice',
      'This frame was called already, perhaps on another device.',
      'Take that call back first, or call the next frame.',
    );
  }
  const impossible = problemsOfReading(given.reading, ['reading'])[0];
  if (impossible) return { ok: false, problem: impossible };
  return placeProblem(body, given.to, []) ?? queenOn({ ...body, calls: [...body.calls, given] }, given);
}

/** The queen goes where her frame goes, until somebody cages her or says otherwise. */
function queenOn(body: CallOutBody, given: FrameCall): Changed {
  const known = body.queens.find((q) => q.giverId === given.giverId);
  if (!given.reading.queenSeen) {
    return done(
      known?.callId === given.id ? { ...body, queens: body.queens.filter((q) => q !== known) } : body,
    );
  }
  if (known && known.callId !== given.id) {
    const where = body.calls.find((c) => c.id === known.callId);
    return refuse(
      'queen-twice',
      `The queen of this colony was reported already${where?.to.at === 'unit' ? `, on a frame that is in ${unitName(body, where.to.key)}` : ''}.`,
      'Take that back if it was a slip. Are there two, stop and look: mother and daughter may live together.',
    );
  }
  const now = given.to.at === 'unit' ? given.to.key : given.to.at === 'home' ? 'home' : 'caged';
  const others = body.queens.filter((q) => q.giverId !== given.giverId);
  return done({ ...body, queens: [...others, { giverId: given.giverId, callId: given.id, now }] });
}

function takeBack(body: CallOutBody, callId: string): Changed {
  return withCall(body, callId, () =>
    done({
      ...body,
      calls: body.calls.filter((c) => c.id !== callId),
      queens: body.queens.filter((q) => q.callId !== callId),
    }),
  );
}

function place(body: CallOutBody, given: FrameCall, to: CallPlace): Changed {
  const problem = placeProblem(body, to, [given.id]);
  if (problem) return problem;
  const moved = { ...given, to };
  const next = { ...body, calls: body.calls.map((c) => (c.id === given.id ? moved : c)) };
  // A caged queen does not travel on her frame.
  const queen = body.queens.find((q) => q.callId === given.id);
  return queen && queen.now !== 'caged' ? queenOn(next, moved) : done(next);
}

function readAnew(body: CallOutBody, given: FrameCall): Changed {
  const impossible = problemsOfReading(given.reading, ['reading'])[0];
  if (impossible) return { ok: false, problem: impossible };
  return queenOn({ ...body, calls: body.calls.map((c) => (c.id === given.id ? given : c)) }, given);
}

function exchange(body: CallOutBody, callId: string, withId: string): Changed {
  return withCall(body, callId, (a) =>
    withCall(body, withId, (b) => {
      const problem = placeProblem(body, a.to, [a.id, b.id]) ?? placeProblem(body, b.to, [a.id, b.id]);
      if (problem) return problem;
      const swapped = {
        ...body,
        calls: body.calls.map((c) => (c === a ? { ...a, to: b.to } : c === b ? { ...b, to: a.to } : c)),
      };
      const first = place(swapped, { ...a, to: b.to }, b.to);
      return first.ok ? place(first.body, { ...b, to: a.to }, a.to) : first;
    }),
  );
}
