export const bench = {
  benchPage: {
    nextTool: 'next tool',
    toolBefore: 'previous tool',
    backToToday: 'back to today',
    bench: 'Bench',
  },
  shimTemplatePage: {
    noShimToDraw: 'No shim to draw',
    theAddressLacksWhere: 'The address does not say where the shim points.',
    workAShimOut: 'Work out a shim',
    templateOfTheHub: 'Template of the hub shim',
    printItWithoutFitting:
      'Print it without fitting it to the page and measure the line of 50 mm. Mark 12 o’clock on the hub while the car stands on its wheels; cut the disc out, hold it to the hub with TOP at the mark and this face to you, and carry the thick end over.',
    theMarkIsMade:
      'The mark is made before the car is lifted. Lift at the maker’s points; wheel nuts and hub bolts to the maker’s torque.',
    print: 'Print',
  },
  toolList: {
    wearLab: 'Wear lab',
    practice: 'Practice',
    tools: 'Tools',
    tool: 'Tool',
    toLearn: 'To learn',
  },
  toolView: {
    noAnswerYetFix: 'No answer yet: fix what is marked. What you entered is saved.',
    numbers: 'Numbers',
    anExample: 'An example. {{exampleWords}}',
    yourNumbers: 'Your numbers.',
    backToTheExample: 'Back to the example',
  },
} as const;
