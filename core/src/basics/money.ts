/**
 * Money as it is written.
 *
 * @param currency - its code (ISO 4217)
 * @param whole - in whole units: nothing that lies months ahead is known to the cent
 * @example moneyInWords(31.5, 'EUR') // => '€31.50'
 */
export const moneyInWords = (amount: number, currency: string, whole = false): string =>
  new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    ...(whole && { maximumFractionDigits: 0 }),
  }).format(amount);
