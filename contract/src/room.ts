/** How much room the server has. */
export interface RoomAnswer {
  /** Bytes of pictures, and how many they may be. */
  readonly pictures: number;
  readonly quota: number;
  /** Bytes that are free where the records are kept; null where that is not known. */
  readonly free: number | null;
  /** What is to be done before it is full, in words. */
  readonly warnings: readonly string[];
}

/** Why a backup was made: by itself each day, before something that replaces records, or because somebody asked. */
export const BACKUP_KINDS = ['daily', 'before-import', 'asked'] as const;
export type BackupKind = (typeof BACKUP_KINDS)[number];

/** A backup that the server keeps. It was read back, whole, before it was filed. */
export interface KeptBackup {
  readonly name: string;
  /** When it was made, ISO 8601. */
  readonly at: string;
  readonly kind: BackupKind;
  readonly bytes: number;
}
