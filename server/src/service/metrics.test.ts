import { describe, expect, it } from 'vitest';
import { routeOf } from './metrics.ts';

describe('what was asked, for the figures', () => {
  it('is told without identifiers, secrets, and what strangers invent', () => {
    const id = '7237040a-2e85-4069-a351-05fcf27e7567';
    expect(routeOf(`/api/operations/${id}/snapshot`)).toBe('/api/operations/:id/snapshot');
    expect(routeOf(`/api/operations/${id}/calendar.ics?pass=secret`)).toBe(
      '/api/operations/:id/calendar.ics',
    );
    expect(routeOf(`/api/operations/${id}/photos/${id}`)).toBe('/api/operations/:id/photos');
    expect(routeOf('/colonies/1')).toBe('page');
    for (let n = 0; n < 3; n++) expect(routeOf(`/api/wild/${n}`)).toBe('other');
  });
});
