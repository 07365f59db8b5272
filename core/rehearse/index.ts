export {
  callsFor,
  eyeScore,
  REHEARSAL_CALLS,
  type Rehearsal,
  type RehearsalCall,
  rehearsalAt,
  type ScoredCall,
  scoreCalls,
  startRehearsal,
} from './rehearsal';
