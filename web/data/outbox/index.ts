export {
  type Decider,
  dismiss,
  flush,
  LARDER,
  onKept,
  type SubmitResult,
  sayAgain,
  setDecider,
  submitEvents,
  tryNow,
  useWaiting,
} from './outbox';
export type { Waiting } from './outbox-store';
