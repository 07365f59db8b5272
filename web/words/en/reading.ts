import { readingDoubt } from '../../../contract';
import type { ParseWarning } from '../../../core/reader';
import { measuresHere } from '../amounts';

/** What was doubtful in a written line: the wire's own words, in this kitchen's measures. */
export const doubtWords = (doubt: ParseWarning): string => readingDoubt(doubt, measuresHere());
