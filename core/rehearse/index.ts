export {
  callsFor,
  eyePrior,
  eyeScore,
  REHEARSAL_CALLS,
  type Rehearsal,
  type RehearsalCall,
  rehearsalAt,
  type ScoredCall,
  scoreCalls,
  startRehearsal,
} from './rehearsal';
