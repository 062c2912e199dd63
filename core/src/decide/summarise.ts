import { flowInWords } from './deciders/happening/flows.ts';
import { listInWords, dayInWords, massInWords, moneyInWords } from '../basics/index.ts';
import {
  COLONY_END_WORDS,
  FEED_WORDS,
  INSERT_WORDS,
  METHOD_NAMES,
  QUEEN_DEED_WORDS,
  STACK_PARTING_WORDS,
  WEAR_WORDS,
  type CallPlace,
  type WorkBody,
  type Work,
  type Command,
  type CommandOf,
  type Apiary,
  operationOf,
} from '../records/index.ts';

const counted = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

const lastReport = (body: Pick<WorkBody, 'reports'>) =>
  `planned anew: ${body.reports?.at(-1)?.words ?? 'by what was done'}`;

/** A command in one line for the journal, in words that make sense years later. */
export function summarise(apiary: Apiary, command: Command): string {
  const colony = (id: string) => apiary.colony[id]?.name ?? 'a colony';
  const hive = (id: string) => apiary.hive[id]?.name ?? 'a hive';
  const queen = (id: string) => apiary.queen[id]?.name ?? 'without a name';
  switch (command.type) {
    case 'addYard':
      return `Yard ${command.yard.name} added`;
    case 'addHives':
      return `${counted(command.hives.length, 'hive')} set up in ${apiary.yard[command.yardId]?.name ?? 'a yard'}: ${command.hives.map((h) => h.name).join(', ')}`;
    case 'addToStore':
      return `${counted(command.frames.length, 'frame')} taken into the store`;
    case 'recordCount':
      return `${colony(command.colonyId)} ${command.readings.length === 0 ? `looked at on ${dayInWords(command.day)}` : `counted on ${dayInWords(command.day)}: ${counted(command.readings.length, 'frame')}`}`;
    case 'addPhoto':
      return `Photo of ${colony(apiary.visit[command.photo.visitId]?.colonyId ?? '')} kept`;
    case 'removePhoto':
      return `Photo of ${colony(apiary.visit[apiary.photo[command.photoId]?.visitId ?? '']?.colonyId ?? '')} taken away`;
    case 'arrangeHive':
      return `${apiary.hive[command.hiveId]?.name ?? 'A hive'} stands in ${counted(command.boxes.length, 'box', 'boxes')} now`;
    case 'putQueen':
      return `Queen ${command.queen.name ?? 'without a name'} entered`;
    case 'renameColony':
      return `${colony(command.colonyId)} renamed to ${command.name}`;
    case 'moveFrames':
      return `${counted(command.moves.length, 'frame')} moved by hand`;
    case 'saveWork': {
      const { work } = command;
      const { asked } = work.body;
      return asked.source === 'split'
        ? `Plan for ${nameOfWork(apiary, work)}: ${METHOD_NAMES[asked.methodId].toLowerCase()}, ${dayInWords(work.day)}`
        : `Plan kept: ${work.name}, ${dayInWords(work.day)}`;
    }
    case 'amendWork':
      return `${nameOfWork(apiary, command.work)}: ${
        apiary.work[command.work.id]?.body.reports?.length === command.work.body.reports?.length
          ? 'hives in another order'
          : lastReport(command.work.body)
      }`;
    case 'addUnit':
      return `${command.unit.name} made of ${counted(command.frames.length, 'frame')} of ${colony(command.fromColonyId)}`;
    case 'dropWork':
      return `Plan dropped: ${nameOfWork(apiary, apiary.work[command.workId])}`;
    case 'tickStep': {
      const step = apiary.workStep[command.stepId];
      return `${nameOfWork(apiary, apiary.work[step?.workId ?? ''])}: ${command.done ? 'done' : 'not done after all'}: ${step?.text ?? 'a step'}`;
    }
    case 'recordLook':
      return `Look on ${dayInWords(command.day)} at ${listInWords(command.parts.map((p) => colony(p.colonyId)))}`;
    case 'closeFollowUp':
      return `Inspection of ${listInWords((apiary.followUp[command.followUpId]?.colonyIds ?? []).map(colony))} closed`;
    case 'fileFollowUp':
      return `${listInWords(command.followUp.colonyIds.map(colony))}: an inspection on ${dayInWords(command.followUp.window.likely)} filed`;
    case 'moveFollowUp':
      return `${listInWords((apiary.followUp[command.followUpId]?.colonyIds ?? []).map(colony))}: look put on ${dayInWords(command.window.likely)}. ${command.why}`;
    case 'setKit':
      return `Store: ${command.items.map((i) => `${i.count} × ${i.what}`).join(', ')}`.slice(0, 200);
    case 'startCallOut':
      return `Break-up begun: ${command.callOut.name}`;
    case 'changeCallOut':
      return `${apiary.callOut[command.callOutId]?.name ?? 'Break-up'}: ${changeInWords(apiary, command)}`;
    case 'finishCallOut': {
      const name = apiary.callOut[command.callOutId]?.name ?? 'A break-up';
      return `${name} finished`;
    }
    case 'dropCallOut':
      return `${apiary.callOut[command.callOutId]?.name ?? 'A break-up'} given up`;
    case 'changeSettings':
      return command.houseRules || command.likelihoods ? 'House rules changed' : 'Settings changed';
    case 'keepSeasonPlan':
      return command.plan === null
        ? 'No season plan is followed any more'
        : `Season plan: ${counted(command.plan.aim.colonies, 'colony', 'colonies')} by ${dayInWords(command.plan.aim.by)} ${command.plan.aim.by.slice(0, 4)}`;
    case 'noteHarvest':
      return `${massInWords(command.kg, operationOf(apiary).units)} of honey taken from ${colony(command.colonyId)}`;
    case 'noteExpense':
      return `${moneyInWords(command.amount, operationOf(apiary).currency)} spent: ${command.what}`;
    case 'dropExpense':
      return `Not spent: ${apiary.expense[command.expenseId]?.what ?? 'an amount'}`;
    case 'editYard':
      return `${apiary.yard[command.yardId]?.name ?? 'A yard'}: ${command.closedOn ? 'closed' : command.closedOn === null ? 'opened again' : 'changed'}`;
    case 'noteFlow':
      return flowInWords(command, apiary.yard[command.yardId]?.name ?? 'A yard');
    case 'arrangeStands':
      return `Stands of ${apiary.yard[command.yardId]?.name ?? 'a yard'} arranged`;
    case 'moveHive': {
      const yardId = command.to.fresh?.yardId ?? apiary.stand[command.to.standId]?.yardId ?? '';
      return `${hive(command.hiveId)} moved to ${apiary.yard[yardId]?.name ?? 'another stand'}, ${dayInWords(command.day)}${command.hour === 'dusk' ? ' at dusk' : ''}`;
    }
    case 'planMove':
      return `${hive(command.hiveId)} to be moved on ${dayInWords(command.day)}`;
    case 'setEntrance':
      return `Entrance of ${hive(command.hiveId)} ${command.state === 'shut' ? 'shut' : 'opened'}`;
    case 'stackHives':
      return `${hive(command.upperHiveId)} set on ${hive(command.lowerHiveId)}, ${STACK_PARTING_WORDS[command.parting]} between`;
    case 'unstackHive':
      return `${colony(command.colonyId)} taken down to a stand of its own`;
    case 'endColony':
      return `${colony(command.colonyId)} ${COLONY_END_WORDS[command.how]} on ${dayInWords(command.day)}${command.words ? `: ${command.words}` : ''}`;
    case 'clearHive':
      return `${hive(command.hiveId)} taken to the store`;
    case 'recordSwarm':
      return `${colony(command.colonyId)} swarmed on ${dayInWords(command.day)}${command.hivedId ? `; hived as ${colony(command.hivedId)}` : ''}`;
    case 'setOrigin':
      return `Where ${colony(command.colonyId)} came from`;
    case 'noteQueen':
      return `Queen ${queen(command.queenId)}: ${QUEEN_DEED_WORDS[command.did]}${command.into ? ` ${colony(command.into.colonyId)}` : ''}, ${dayInWords(command.day)}`;
    case 'enterCells':
      return `${counted(command.cells.length, 'queen cell')} entered`;
    case 'changeCells':
      return `${counted(command.cellIds.length, 'queen cell')} ${cellChange(command.change)}, ${dayInWords(command.day)}`;
    case 'careForCombs':
      return `${counted(command.frameIds.length, 'comb')} ${combChange(command.change)}`;
    case 'readLoose':
      return `${counted(command.readings.length, 'comb')} in the store counted`;
    case 'dressHive':
      return `${hive(command.hiveId)} wears ${command.wears.length === 0 ? 'nothing' : listInWords(command.wears.map((w) => WEAR_WORDS[w.what]))}`;
    case 'setInserts':
      return `Box of ${hive(apiary.box[command.boxId]?.hiveId ?? '')}: ${command.inserts.length === 0 ? 'combs only' : listInWords(command.inserts.map((n) => `${INSERT_WORDS[n.what]} in slot ${n.slot}`))}`;
    case 'give': {
      const { body, colonyId, day } = command.given;
      return `${colony(colonyId)} given ${body.kind === 'feed' ? `${massInWords(body.kg, operationOf(apiary).units)} of ${FEED_WORDS[body.what]}` : body.what}, ${dayInWords(day)}`;
    }
    case 'takeOut': {
      const given = apiary.given[command.givenId];
      return `${given ? colony(given.colonyId) : 'A colony'}: ${given?.body.kind === 'treatment' ? `${given.body.what} out` : 'feed taken up'}, ${dayInWords(command.day)}`;
    }
    case 'correctVisit':
      return `${colony(apiary.visit[command.visitId]?.colonyId ?? '')}: visit of ${dayInWords(apiary.visit[command.visitId]?.day ?? command.day)} corrected`;
    case 'batch':
      return command.commands.length === 1 && command.commands[0]
        ? summarise(apiary, command.commands[0])
        : `${counted(command.commands.length, 'change')} at once: ${command.commands[0] ? summarise(apiary, command.commands[0]) : ''} and more`;
  }
}

function cellChange(change: CommandOf<'changeCells'>['change']): string {
  switch (change.what) {
    case 'cut-out':
      return 'cut out and set into another comb';
    case 'reserve':
      return change.reserved ? 'reserved' : 'no longer reserved';
    case 'fate':
      return change.how === 'dead' ? 'found dead' : change.how;
    case 'quality':
      return 'described';
  }
}

function combChange(change: CommandOf<'careForCombs'>['change']): string {
  switch (change.what) {
    case 'apart':
      return 'kept apart';
    case 'release':
      return 'released';
    case 'melt':
      return 'melted down';
    case 'moth':
      return change.there ? 'with wax moth' : 'free of wax moth';
    case 'cut-by':
      return change.day === null ? 'no longer to be cut' : `to be cut by ${dayInWords(change.day)}`;
    case 'year':
    case 'from':
    case 'size':
      return 'described';
  }
}

/** A split by its colony, other work by its name. */
function nameOfWork(apiary: Apiary, work: Work | undefined): string {
  if (!work) return 'Work';
  const { asked } = work.body;
  return asked.source === 'split' ? (apiary.colony[asked.colonyId]?.name ?? 'a colony') : work.name;
}

function changeInWords(apiary: Apiary, { callOutId, change }: CommandOf<'changeCallOut'>): string {
  const body = apiary.callOut[callOutId]?.body;
  const unit = (key: string) => body?.units.find((u) => u.key === key)?.name ?? 'a part';
  const place = (to: CallPlace) =>
    to.at === 'unit' ? `to ${unit(to.key)}` : to.at === 'home' ? 'stays' : 'laid aside';
  switch (change.what) {
    case 'call':
      return `a frame ${place(change.call.to)}`;
    case 'take-back':
      return 'a call undone';
    case 'place':
      return `a frame ${place(change.to)} after all`;
    case 'read':
      return 'a frame read anew';
    case 'exchange':
      return 'two frames exchanged';
    case 'queen':
    case 'queen-not-found':
      return 'where the queen is';
    case 'close-unit':
      return `${unit(change.key)} ${change.closed ? 'closed' : 'opened again'}`;
  }
}
