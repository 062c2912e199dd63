export {
  atLeast,
  betaBinomial,
  binomial,
  type Distribution,
  type Known,
  meanOf,
  quantileOf,
  sumOf,
} from './distributions.ts';
export { logBeta, logChoose, logGamma } from './gamma.ts';
