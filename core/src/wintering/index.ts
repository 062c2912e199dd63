export {
  chanceOfWinter,
  deadOfLastWinter,
  ownWinters,
  WINTER_PRIOR,
  type WinterClass,
  type WinterResults,
} from './ownWinters.ts';
export { nucsFor, springOdds, type SpringOdds, type Wintering } from './spares.ts';
