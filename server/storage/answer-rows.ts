import { eq } from 'drizzle-orm';
import { answers } from './schema';
import type { Db, Tx } from './storage';

/** What was answered to a command, and what it had asked for. */
export interface Answered {
  content: string;
  answer: unknown;
}

export function answerRow(db: Db, id: string): Answered | undefined {
  return db
    .select({ content: answers.content, answer: answers.answer })
    .from(answers)
    .where(eq(answers.id, id))
    .get();
}

export function insertAnswer(tx: Tx, id: string, answered: Answered, atMs: number): void {
  tx.insert(answers)
    .values({ id, ...answered, atMs })
    .run();
}
