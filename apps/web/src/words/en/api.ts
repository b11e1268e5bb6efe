export const api = {
  problem: {
    theServerIsNot:
      'The server is not answering. What you typed is saved on this device and sent when it is back.',
    expected: '{{text}}: expected {{expected}}',
    somethingWentWrongNothing: 'Something went wrong; nothing was changed',
  },
  keenApi: {
    notUnderstood: 'The server answered something this page does not understand; reload it',
  },
} as const;
