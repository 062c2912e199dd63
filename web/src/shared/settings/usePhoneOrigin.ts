import { useEffect, useState } from 'react';
import { access } from '../../server/access.ts';

/** Where links lead that a phone is to open. */
export interface PhoneOrigin {
  readonly origin: string;
  /** They open on this machine only: the way in from the home network is shut. */
  readonly onlyHere: boolean;
}

const isLoopback = () => /^(localhost|127\.|\[::1\])/.test(location.hostname);

/** The address for tags, codes and calendars: one of the home network where there is one, else that of this page. */
export function usePhoneOrigin(): PhoneOrigin {
  const [address, setAddress] = useState<string | null>(null);
  useEffect(() => {
    let current = true;
    access
      .me()
      .then(({ addresses: [first] }) => current && setAddress(first ?? null))
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, []);
  return phoneOrigin(address ?? undefined);
}

/** The same where it is known already under which address a phone comes in; undefined for none. */
export const phoneOrigin = (address: string | undefined): PhoneOrigin =>
  isLoopback() && address !== undefined
    ? { origin: address, onlyHere: false }
    : { origin: location.origin, onlyHere: isLoopback() };
