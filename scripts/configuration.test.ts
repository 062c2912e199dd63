import { describe, expect, it } from 'vitest';
import { configurationFrom } from './configuration.ts';

describe('settings from outside', () => {
  it('have their usual values where nothing is said, also where a variable is empty', () => {
    expect(configurationFrom({ PORT: '' })).toMatchObject({
      LAN_PORT: 4843,
      LOG_LEVEL: 'info',
      PICTURE_QUOTA_MB: 4000,
    });
    expect(configurationFrom({ PORT: '8080', UNKNOWN: 'x' })).toMatchObject({ PORT: 8080 });
  });

  it('that cannot be used are named, all of them, with what they have to be', () => {
    const wrong = {
      PORT: 'many',
      LAN_PORT: '70000',
      LAN_CERTIFICATE: '/nowhere.pem',
      PUBLIC_URL: 'http://x.example',
      LOG_LEVEL: 'loud',
    };
    let said = '';
    try {
      configurationFrom(wrong);
    } catch (error) {
      said = (error as Error).message;
    }
    for (const name of Object.keys(wrong)) expect(said).toContain(`  ${name}: has to be`);
  });

  it('take a certificate only together with its key', () => {
    expect(() => configurationFrom({ LAN_CERTIFICATE: import.meta.filename })).toThrow(
      /together with LAN_KEY/,
    );
  });
});
