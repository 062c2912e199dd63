/** What somebody may do in an operation: read, work and count, or everything. */
export const ROLES = ['reader', 'worker', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/** Whether a role includes another. */
export const includes = (role: Role, wanted: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(wanted);

/** Who asks. */
export type Person =
  /** The machine itself, before anybody has made an account, and in the demonstration. */
  | { readonly kind: 'machine' }
  | { readonly kind: 'account'; readonly accountId: string; readonly name: string; readonly passId: string }
  /** With a code for a day. */
  | {
      readonly kind: 'helper';
      readonly operationId: string;
      readonly role: Role;
      readonly name: string;
      readonly passId: string;
    }
  /** A station or scale, or a program that reads the calendar. */
  | {
      readonly kind: 'device' | 'calendar';
      readonly operationId: string;
      readonly name: string;
      readonly passId: string;
    };

/** How journal and counts name the person; null for the machine itself. */
export const nameOf = (person: Person): string | null => (person.kind === 'machine' ? null : person.name);
