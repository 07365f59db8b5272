import { COMPUTATIONS, type ComputationName } from './computations';

self.onmessage = ({ data }: MessageEvent<{ turn: number; name: ComputationName; asked: never }>) => {
  try {
    self.postMessage({ turn: data.turn, answer: COMPUTATIONS[data.name](data.asked) });
  } catch (error) {
    // what the model refuses is an answer too; anything else is a fault and is said as one
    self.postMessage({ turn: data.turn, refused: error instanceof Error ? error.message : String(error) });
  }
};
