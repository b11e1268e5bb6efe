import { messagesOf } from './i18n.ts';

export const english = {
  evidenceColumn: {
    tread: 'Tread',
    ofAnInch: '32nds of an inch',
    whatTheSettingsTried: 'what the settings tried would leave',
    whatTheNamedCauses: 'what the named causes would leave, and how surely',
    seenFromBehind: 'Seen from behind, depths in {{unit}}',
  },
  stepLacks: {
    stillMissing: 'Still missing',
    missing: 'Missing: {{charAt}}',
  },
  stepRail: {
    arrive: 'Arrive',
    read: 'Read',
    inspect: 'Inspect',
    explain: 'Explain',
    decide: 'Decide',
    measure: 'Measure',
    setRight: 'Set right',
    handOver: 'Hand over',
    stepsOfTheVisit: 'Steps of the visit',
    done: 'done',
    begun: 'begun',
    open: 'open',
  },
  visitPage: {
    nextStep: 'next step',
    stepBefore: 'step before',
    backToToday: 'back to today',
    inARowOf: 'in a row of answers: the one beside; its first letter presses it',
    ctrl: 'Ctrl',
    enter: 'Enter',
    goOnOutOf: 'go on, out of a field too',
    inMeasureAndSet: 'in Measure and Set right: bay mode, large and one thing at a time',
    inBayModeThe: 'in bay mode: the next step of the plan',
    undoMyLastEntry: 'undo my last entry',
    redoIt: 'redo it',
    inReadTheDepth: 'in Read: the depth, 53 is 5.3 mm',
    inReadTheRib: 'in Read: the rib before, the next one',
    backspace: 'Backspace',
    inReadOneStep: 'in Read: one step back',
    inReadThisRib: 'in Read: this rib cannot be read',
    inInspectCatchesOut: 'in Inspect: catches out, smooth, catches in',
    inInspectNothingElse: 'in Inspect: nothing else found here, go on',
    inInspectTheStop: 'in Inspect: the stop before, the next one',
    inInspectWavesA: 'in Inspect: waves; a damage by the letter on its button',
    inInspectUnderThe: 'in Inspect under the car: the part before, the next one',
    inInspectUnderTheCar: 'in Inspect under the car: play none, some, too much',
    loadingTheVisit: 'Loading the visit',
    thisVisitCannotBe: 'This visit cannot be shown.',
    tryAgain: 'Try again',
    leaveBayMode: 'Leave bay mode',
    bayMode: 'Bay mode',
  },
  visitTitle: {
    frontDrive: 'front drive',
    rearDrive: 'rear drive',
    allWheelDrive: 'all-wheel drive',
    onTheseTires: '{{distance}} {{distance2}} on these tires',
    car: 'Car',
  },
  wheelsColumn: {
    wheels: 'Wheels',
    fromAboveAndFrom:
      'From above and from behind; toe {{toe}} times larger, camber {{camber}} times',
    greyWedgeAllowedSoft:
      'Grey wedge: allowed · soft edge: how sure · dashed: as found · outline: measure again',
  },
} as const;

export const t = messagesOf('visit', english);
