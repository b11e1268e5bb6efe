export const devices = {
  gaugeBar: {
    thisBrowserHasNo: 'This browser has no serial interface. A gauge that types needs none.',
    noPortWasChosen: 'No port was chosen.',
    connectTheGauge: 'Connect the gauge',
    disconnect: 'Disconnect',
    serialLine: 'Serial line',
    aGaugeThatTypes: 'A gauge that types, such as 5.30 and Enter, works as it is.',
    playIt: 'Simulate it',
    callingTheGauge: 'Connecting to the gauge…',
    theGaugeBrokeOff: 'Lost the gauge; reconnecting. The keys work meanwhile.',
    theSerialLineBroke:
      'Lost the serial line. Check the plug, then disconnect and connect again; the keys work meanwhile.',
    itsBatteryIsLow: '{{device}}: its battery is low, {{percent}} %.',
    isReadySetIt: '{{device}} is ready: set it down and press.',
  },
  typeText: {
    enter: 'Enter',
  },
  useGauge: {
    theGaugeOnThe: 'The gauge on the serial line',
  },
} as const;
