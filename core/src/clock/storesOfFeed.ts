/**
 * Capped stores from a kilogram of sugar, in kg: 18 % water in honey gives 1.22, less what the bees use to work it
 * (calculated; the cost is common practice).
 */
export const STORES_PER_KG_SUGAR = { low: 1.1, likely: 1.15, high: 1.2 } as const;
