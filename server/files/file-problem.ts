import { ProblemError } from '../problem';

/** A file that is wrong: where, and why. Nothing of it is taken in. */
export function fileProblem(where: string, sentence: string): ProblemError {
  return new ProblemError(422, 'That file cannot be read', [{ field: where, sentence }]);
}

/** JSON with the line of what is wrong in it. */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    const at = /position (\d+)/.exec(String(error));
    const line = at ? text.slice(0, Number(at[1])).split('\n').length : text.split('\n').length;
    throw fileProblem(
      `line ${line}`,
      `Line ${line} is not JSON: ${String((error as Error).message).replace(/ in JSON.*/, '')}.`,
    );
  }
}
