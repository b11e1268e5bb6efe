import { messagesOf } from './i18n.ts';

export const english = {
  choosePasswordPage: {
    checkingTheLink: 'Checking the link…',
    thisLinkDoesNot: 'This link does not work.',
    askTheLeadOf: '{{text}}. Ask the lead of your shop for another.',
    chooseYourPassword: 'Choose your password',
    youSignInWith: '{{name}}, {{shopName}}. You sign in with {{email}}.',
    saved: 'Saved.',
    signIn: 'Sign in',
    password: 'Password',
    atLeastCharactersThree: 'At least {{leastPassword}} characters; three or four words will do',
    save: 'Save',
  },
  passwordForm: {
    email: 'Email',
    anEmailAddressSuch: 'An email address, such as name@shop.example',
    password: 'Password',
    yourPassword: 'Your password',
    codeOfYourSecond: 'Code of your second factor',
    sixDigitsFromThe: 'Six digits from the app, or a recovery code',
    signIn: 'Sign in',
  },
  setUpForm: {
    nameOfTheShop: 'Name of the shop',
    theShopsName: 'The shop’s name',
    town: 'Town',
    atMost80Characters: 'At most 80 characters',
    yourName: 'Your name',
    email: 'Email',
    anEmailAddress: 'An email address',
    password: 'Password',
    atLeastTenCharacters: 'At least ten characters',
    setUpYourShop: 'Set up your shop',
    youBecomeItsLead: 'You become its lead. This page is offered once, while there is no shop.',
    setUpAndCome: 'Set up and come in',
  },
  signInPage: {
    keenGroove: 'Keen Groove',
    twelveDepthsOneHonest: 'Twelve depths. One honest answer.',
    whatWoreTheseTires:
      'What wore these tires, how sure that is, and what to do before new ones go on.',
    lookingForTheShop: 'Looking for the shop…',
    orWithAPassword: 'or with a password',
    aMadeUpShop: 'A made-up shop with made-up people and cars. Come in as one of them.',
  },
} as const;

export const t = messagesOf('signIn', english);
