import { temperature } from '../amounts';
/** What Today says. */
export const todayWords = {
  noServiceYet: 'No service yet',
  nameTheHoursThatBowls: 'Name the hours that bowls must be ready by, or plan for an hour of your own.',
  addAService: 'Add a service',
  planABatch: 'Plan a batch',
  waterBoilsAtCHere: (boilingPointC: number) =>
    `Water boils at ${temperature(boilingPointC, 1)} here. The local code and the licensed person in charge decide; a thermometer overrules every figure.`,
  setUpYourKitchen: 'Set up your kitchen',
  sayWhichBurnerYourPots: 'Say which burner your pots stand on: then a batch can be planned.',
  goOn: 'Go on',
  useFirst: 'Use first',
  lot: (lotAmount: string, name: string, number: number) => `${lotAmount} ${name}, lot ${number}`,
  planned: 'Planned',
  bowlsOf: (portions: number, foods: string) => `${portions} bowls of ${foods}`,
  whatTheyWillDrawAnd: 'What they will draw, and what to make for them',
  lastTime: 'Last time',
  itCameOutAsPlanned: 'It came out as planned.',
  ofServedLeft: (name: string, served: number, portions: number, leftPortions: number, n: string) =>
    `, ${name}: ${served} of ${portions} served, ${leftPortions} left. ${n}`,
  toGo: ' to go',
  bowls: (covers: number) => `${covers} bowls`,
  nothingIsOnForIt: 'Nothing is on for it yet.',
  planAnother: 'Plan another',
  planBowls: (covers: number) => `Plan ${covers} bowls`,
  bowlsIn: (ordered: string, litres: string, thePot: string) => `${ordered}, ${litres} in ${thePot}`,
  in: (thePot: string) => `in ${thePot}`,
  setAsideLookAtIts: 'set aside: look at its log',
};
