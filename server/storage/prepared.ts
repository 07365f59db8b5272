import type { Db } from './storage';

const statements = new WeakMap<Db, Map<string, unknown>>();

/** A statement that is asked often, prepared once for each connection: building it takes longer than running it. */
export function prepared<S>(db: Db, name: string, build: () => S): S {
  let own = statements.get(db);
  if (!own) {
    own = new Map();
    statements.set(db, own);
  }
  let statement = own.get(name) as S | undefined;
  if (statement === undefined) {
    statement = build();
    own.set(name, statement);
  }
  return statement;
}
