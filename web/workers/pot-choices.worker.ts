import { type ChoicesAsked, potChoices } from './pot-choices';

self.onmessage = ({ data }: MessageEvent<{ turn: number; asked: ChoicesAsked }>) => {
  self.postMessage({ turn: data.turn, choices: potChoices(data.asked) });
};
