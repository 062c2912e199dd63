export {
  type HandledBox,
  type HandledMove,
  type HandledShake,
  type HiveEvent,
  type HiveWorked,
  liftsOf,
  type Place,
  workHive,
} from './workHive.ts';
