/** Who holds a folder. */
export interface Holder {
  pid: number;
  host: string;
  since: string;
  address: string | null;
}

/** What can be wrong with a kitchen's file or folder. */
export type FileProblemCode =
  | 'held'
  | 'missing'
  | 'empty'
  | 'notAKitchen'
  | 'cut'
  | 'noTables'
  | 'walLost'
  | 'newer'
  | 'damaged'
  | 'readOnly'
  | 'isDemo'
  | 'isNoDemo';

interface About {
  folder: string;
  holder?: Holder | null;
  cause?: unknown;
}

/** The kitchen's file is not opened: why, and what to do. Nothing of it was changed. */
export class FileProblem extends Error {
  constructor(
    readonly code: FileProblemCode,
    about: About,
  ) {
    super(words(code, about), { cause: about.cause });
  }
}

function words(code: FileProblemCode, { folder, holder }: About): string {
  const put = 'Put the file back from a copy';
  switch (code) {
    case 'held': {
      const who = holder
        ? `process ${holder.pid} on ${holder.host} since ${holder.since}${holder.address ? `, at ${holder.address}` : ''}`
        : 'another process';
      return `Slow Pot already serves the kitchen in ${folder}: ${who}. Use that one, or stop it first.`;
    }
    case 'missing':
      return `The kitchen’s file slow-pot.db is gone from ${folder}, where there was one. ${put}; for a new kitchen choose an empty folder.`;
    case 'empty':
      return `The kitchen’s file in ${folder} is empty: 0 bytes. ${put}; for a new kitchen choose an empty folder.`;
    case 'notAKitchen':
      return `slow-pot.db in ${folder} is not a kitchen’s file: it does not begin as one. It was left as it is. ${put}, or move it away.`;
    case 'cut':
      return `The kitchen’s file in ${folder} was cut short: it is smaller than it says itself. ${put}. It was left as it is.`;
    case 'noTables':
      return `slow-pot.db in ${folder} holds no kitchen yet. It was probably copied while Slow Pot ran: copy slow-pot.db-wal with it, or stop Slow Pot and copy again.`;
    case 'walLost':
      return `Slow Pot did not end by itself last time, and slow-pot.db-wal in ${folder} is gone or empty: the newest entries were in it. Put that file back from a copy. To go on without them, start once with SLOW_POT_WITHOUT_WAL=yes.`;
    case 'newer':
      return `The kitchen’s file in ${folder} was written by a newer Slow Pot. Use that one; this one would not understand it.`;
    case 'damaged':
      return `The kitchen’s file in ${folder} is damaged. It was left as it is. ${put}.`;
    case 'isDemo':
      return `The kitchen in ${folder} is the demo’s. Start it with npm run demo, or name another folder in SLOW_POT_DATA.`;
    case 'isNoDemo':
      return `The kitchen in ${folder} is a cook’s own, not the demo. Start it with npm start, or name another folder in SLOW_POT_DATA.`;
    case 'readOnly':
      return `The kitchen’s file in ${folder} cannot be written: the folder, the file or the disk is read-only.`;
  }
}
