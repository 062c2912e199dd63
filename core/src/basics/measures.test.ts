import { expect, it } from 'vitest';
import {
  distanceInWords,
  massInWords,
  smallMassInWords,
  temperatureInWords,
  volumeInWords,
} from './measures.ts';

// Conversion factors of NIST Handbook 44, appendix C: 1 lb = 0.45359237 kg, 1 qt = 0.946352946 L, 1 mile = 1.609344 km.
it.each([
  [massInWords(5, 'metric'), '5.0 kg'],
  [massInWords(45.359237, 'imperial'), '100.0 lb'],
  [massInWords(18.4, 'metric', 0), '18 kg'],
  [massInWords(18.4, 'imperial', 0), '41 lb'],
  [smallMassInWords(453.59237, 'imperial'), '16.0 oz'],
  [smallMassInWords(85.4, 'metric'), '85 g'],
  [volumeInWords(3.785411784, 'imperial'), '4.0 qt'],
  [volumeInWords(2.26, 'metric'), '2.3 L'],
  [distanceInWords(4.828032, 'imperial'), '3.0 miles'],
  [distanceInWords(3, 'metric', 0), '3 km'],
  [temperatureInWords(10, 'imperial'), '50 °F'],
  [temperatureInWords(-40, 'imperial'), '-40 °F'],
  [temperatureInWords(9.6, 'metric'), '10 °C'],
])('%s', (said, expected) => {
  expect(said).toBe(expected);
});
