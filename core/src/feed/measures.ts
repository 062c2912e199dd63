/** Systems of kitchen and shop measures. Factors are exact by definition (NIST Handbook 44, UK Weights and Measures Act). */
export const MEASURES = {
  metric: { mass: 'kg', kgPerMass: 1, volume: 'L', litresPerVolume: 1 },
  us: { mass: 'lb', kgPerMass: 0.45359237, volume: 'US qt', litresPerVolume: 0.946352946 },
  imperial: { mass: 'lb', kgPerMass: 0.45359237, volume: 'pt', litresPerVolume: 0.56826125 },
} as const;
export type MeasureSystem = keyof typeof MEASURES;

/** A litre of water at 20 °C in kg (same table as the syrups). */
export const WATER_KG_PER_LITRE = 0.9982;
