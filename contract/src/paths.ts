/** The addresses of the API, for both ends. `:op` is the operation's identifier. */
export const API_PATHS = {
  health: () => '/api/health',
  me: () => '/api/access/me',
  access: (what: 'owner' | 'sign-in' | 'join' | 'help' | 'sign-out' | 'lan') => `/api/access/${what}`,
  members: (op: string) => `/api/operations/${op}/access`,
  operations: () => '/api/operations',
  snapshot: (op: string) => `/api/operations/${op}/snapshot`,
  commands: (op: string) => `/api/operations/${op}/commands`,
  undo: (op: string) => `/api/operations/${op}/undo`,
  journal: (op: string) => `/api/operations/${op}/journal`,
  news: (op: string) => `/api/operations/${op}/news`,
  backup: (op: string) => `/api/operations/${op}/backup`,
  backups: (op: string, name?: string) =>
    `/api/operations/${op}/backups${name === undefined ? '' : `/${name}`}`,
  room: (op: string) => `/api/operations/${op}/room`,
  bundle: (op: string) => `/api/operations/${op}/bundle`,
  photo: (op: string, photoId: string) => `/api/operations/${op}/photos/${photoId}`,
  readings: (op: string) => `/api/operations/${op}/readings`,
  weather: (op: string) => `/api/operations/${op}/weather`,
  calendar: (op: string) => `/api/operations/${op}/calendar.ics`,
  yardPlan: (op: string) => `/api/operations/${op}/yard-plan`,
  bundleSchema: () => '/api/schema/apiary-v2.json',
} as const;
