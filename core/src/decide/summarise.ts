import { listInWords, dayInWords } from '../basics/index.ts';
import {
  METHOD_NAMES,
  type CallPlace,
  type PlanBody,
  type Command,
  type CommandOf,
  type Apiary,
} from '../records/index.ts';

const counted = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

const lastReport = (body: Pick<PlanBody, 'reports'>) =>
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
    case 'savePlan':
      return `Plan for ${colony(command.plan.colonyId)}: ${METHOD_NAMES[command.plan.methodId].toLowerCase()}, ${dayInWords(command.plan.day)}`;
    case 'saveYardPlan':
      return `Plan kept: ${command.yardPlan.name}, ${dayInWords(command.yardPlan.day)}`;
    case 'amendPlan':
      return `${colony(command.plan.colonyId)}: ${lastReport(command.plan.body)}`;
    case 'amendYardPlan':
      return `${command.yardPlan.name}: ${
        apiary.yardPlan[command.yardPlan.id]?.body.reports?.length === command.yardPlan.body.reports?.length
          ? 'hives in another order'
          : lastReport(command.yardPlan.body)
      }`;
    case 'addUnit':
      return `${command.unit.name} made of ${counted(command.frames.length, 'frame')} of ${colony(command.fromColonyId)}`;
    case 'dropYardPlan':
      return `Plan dropped: ${apiary.yardPlan[command.yardPlanId]?.name ?? 'a plan'}`;
    case 'tickYardStep': {
      const step = apiary.yardStep[command.stepId];
      const plan = step && apiary.yardPlan[step.yardPlanId];
      return `${plan?.name ?? 'Work'}: ${command.done ? 'done' : 'not done after all'}: ${step?.text ?? 'a step'}`;
    }
    case 'dropPlan':
      return `Plan for ${colony(apiary.plan[command.planId]?.colonyId ?? '')} dropped`;
    case 'tickStep': {
      const step = apiary.step[command.stepId];
      const plan = step && apiary.plan[step.planId];
      return `${colony(plan?.colonyId ?? '')}: ${command.done ? 'done' : 'not done after all'}: ${step?.text ?? 'a step'}`;
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
