/** Money in whole units of a currency: nothing that lies months ahead is known to the cent. */
export const moneyIn = (amount: number, currency: string): string =>
  new Intl.NumberFormat('en', { style: 'currency', currency, maximumFractionDigits: 0 }).format(amount);
