export { reportWork } from './reportWork.ts';
