import { messagesOf } from './i18n.ts';

export const english = {
  duePage: {
    backToToday: 'back to today',
    aMonth: 'A month',
    aQuarter: 'A quarter',
    all: 'All',
    due: 'Due',
    lookingAhead: 'Looking ahead',
    loadingTheList: 'Loading the list',
    tryAgain: 'Try again',
    nobodyIsDue: 'Nobody is due.',
    whatIsPutOn: 'What is put on the list when a car is handed over shows up here.',
    overdue: 'Overdue',
    comingUp: 'Coming up',
    laterOnes: 'Later ones',
    after: ' after {{afterKm}} {{unit}}',
    done: 'Done',
    doneOf: 'Done: {{dueWords}}, {{name}}',
    dismiss: 'Dismiss',
    dismissOf: 'Dismiss: {{dueWords}}, {{name}}',
    visit: ', visit {{number}}',
  },
  useSettleDue: {
    theListHasChanged: 'The list has changed; look again.',
  },
} as const;

export const t = messagesOf('due', english);
