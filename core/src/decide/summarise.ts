import { listInWords, dayInWords } from '../basics/index.ts';
import {
  METHOD_NAMES,
  type CallPlace,
  type WorkBody,
  type Work,
  type Command,
  type CommandOf,
  type Apiary,
} from '../records/index.ts';

const counted = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

const lastReport = (body: Pick<WorkBody, 'reports'>) =>
  `planned anew: ${body.reports?.at(-1)?.words ?? 'by what was done'}`;

/** A command in one line for the journal, in words that make sense years later. */
export function summarise(apiary: Apiary, command: Command): string {
  const colony = (id: string) => apiary.colony[id]?.name ?? 'a colony';
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
      return `Follow-up for ${listInWords((apiary.followUp[command.followUpId]?.colonyIds ?? []).map(colony))} closed`;
    case 'fileFollowUp':
      return `${listInWords(command.followUp.colonyIds.map(colony))}: a look on ${dayInWords(command.followUp.window.likely)} filed`;
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
    case 'batch':
      return command.commands.length === 1 && command.commands[0]
        ? summarise(apiary, command.commands[0])
        : `${counted(command.commands.length, 'change')} at once: ${command.commands[0] ? summarise(apiary, command.commands[0]) : ''} and more`;
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
  const unit = (key: string) => body?.units.find((u) => u.key === key)?.name ?? 'a unit';
  const place = (to: CallPlace) =>
    to.at === 'unit' ? `to ${unit(to.key)}` : to.at === 'home' ? 'stays' : 'laid aside';
  switch (change.what) {
    case 'call':
      return `a frame ${place(change.call.to)}`;
    case 'take-back':
      return 'a call taken back';
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
