export const account = {
  accountPage: {
    backToToday: 'back to today',
    yourAccount: 'Your account',
    yourShopAsksLeads:
      'Your shop requires a second factor for leads. Set it up here to open everything else.',
    demoStaffSignIn: 'Demo staff sign in with one tap and have no password.',
  },
  ownSessions: {
    whereYouAreSigned: 'Where you are signed in',
    sessions: 'Sessions',
    thisDevice: 'this device',
    signOutEverywhereElse: 'Sign out everywhere else',
    youAreSignedIn: 'You are signed in here only.',
    since: 'since {{since}}',
    sinceFrom: 'since {{since}}, from {{address}}',
  },
  passwordChange: {
    changePassword: 'Change password',
    password: 'Password',
    passwordNow: 'Current password',
    newPassword: 'New password',
    atLeastCharactersThree: 'At least {{leastPassword}} characters; three or four words will do',
    changedYourOtherSessions: 'Changed. Your other sessions have been signed out.',
  },
  secondFactor: {
    secondFactor: 'Second factor',
    aCodeFromAn:
      'A code from an authenticator app on your phone, asked for with the password. Someone who learns your password still cannot sign in.',
    setItUp: 'Set it up',
    scanThisWithThe:
      'Scan this with the app, or type the key into it; then type the code that it shows.',
    qrCodeOfThe: 'QR code of the key',
    codeOfSixDigits: 'Six-digit code',
    thatIsNotThe: 'That is not the current code; check the phone’s clock',
    turnItOn: 'Turn it on',
    itIsOnWrite:
      'It is on. Write these codes down or print them: each lets you in once if the phone is lost. They are not shown again.',
    recoveryCodes: 'Recovery codes',
    print: 'Print',
    iHaveThem: 'I have them',
    itIsOn: 'It is on.',
    yourPassword: 'Your password',
    turnItOff: 'Turn it off',
    cancel: 'Cancel',
  },
  deviceOf: {
    ipadOrIphone: 'iPad or iPhone',
    on: '{{browser}} on {{system}}',
    unknownBrowser: 'Unknown browser',
  },
} as const;
