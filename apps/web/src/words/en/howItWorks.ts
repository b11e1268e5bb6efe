export const howItWorks = {
  factTables: {
    whatItIs: 'What it is',
    value: 'Value',
    mayBeOffBy: 'May be off by',
    setBy: 'Set by',
  },
  formula: {
    placeOfTheRib: 'place of the rib: −1 inner, 0 centre, +1 outer',
    itsShareOfThe:
      'its share of the contact pressure: camber loads the side it leans to, toe-in the outer ribs, low pressure both shoulders, cornering the front outer ones; a rib can lift off, and the shares always make a mean of one',
    whatRunningPressureDoes: 'what running pressure does to the whole rate',
    slipThatDrivingItself: 'slip that driving itself needs; more on driven and steered axles',
    halfTheAxlesTotal: 'half the axle’s total: the driver steers the pair, so both tires share it',
    whatLooseJointsAdd: 'what loose joints add, though the rig may read well',
    cambersOwnSlipNone: 'camber’s own slip: none at the centre, most at the edges',
    wearRateEqualsK:
      'wear rate equals K times P of y times f of p times the sum of S zero squared, toe squared, wander squared and c y camber squared, in millimetres for each 1000 km',
    mmPer1000Km: 'mm per 1000 km',
    lossesAddUpOver:
      'Losses add up over the places a tire has had: every rotation is walked through. Fresh tread wears faster than worn tread, by d.',
  },
  howItWorksPage: {
    howItWorks: 'How it works',
    back: '← Back',
    fromAnglesToTread: 'From angles to tread, and back',
    aFormulaSaysWhat:
      'A formula says what given angles, pressures and driving leave of twelve ribs. Turned round, it says which of them your twelve readings point to, and how surely. Every figure on this page is taken from the code that gives the answers.',
    forwardWhatWearsA: 'Forward: what wears a rib',
    itsConstants: 'Its constants',
    backFromTreadTo: 'Back: from tread to causes',
    someFortyUnknownsAt:
      'Some forty unknowns at once: four cambers, two toes, four running pressures, rate of wear, cornering, play, bounce, how much this car’s tires scatter, a reading that may be wrong, and the constants themselves. From the cars that usually come in, thousands of cars are drawn that would have left just these readings; a cause’s chance is the part of them that have it. Toe against play, camber against handed driving, low pressure against cornering: where two explanations fit, both keep their share.',
    whatIsToldOn:
      'What is entered on arrival counts too: a kerb or a lift makes angles likelier out, and today’s angles say less about what wore the tread; an alignment before most of the wear makes worn joints likelier; tires of different make or age may wear at different rates.',
    theCarsThatCome: 'The cars that come in (common practice, no source)',
    howFarTheFormula: 'How far the formula and the hand are trusted',
    fromCausesToAdvice: 'From causes to advice',
    someCoursesAreLeft:
      'Some courses are left out first: fitting new tires where the tread is plainly uneven, setting angles that nobody has measured, parts on a suspicion. The others are priced at the shop’s own prices over the life of a set, for each of the cars drawn: the work, and the tires used up. The cheapest on average is advised. A check is worth what deciding after it saves; one that would change nothing is not asked for.',
    sources: 'Sources',
    wearGoesWithThe:
      'Wear goes with the work of friction: Archard (1953); Schallamach and Turner (1960).',
    workGoesWithSlip:
      'Work goes with slip squared while slip is small: Pacejka, Tire and Vehicle Dynamics.',
    drawsMetropolisEtAl:
      'Draws: Metropolis et al. (1953); delayed acceptance, Christen and Fox (2005); differences of past draws, ter Braak and Vrugt (2008).',
    whatACheckWould:
      'What a check would tell: Lindley (1956), expected information of an experiment.',
    whatItIsWorth:
      'What it is worth in money: Raiffa and Schlaifer (1961), expected value of sample information.',
    theFormulaIsNot:
      'The formula is only close to the truth, and the diagnosis allows for it: that is what the scatter above is for. The vehicle maker’s data, local law and a licensed technician decide.',
    whatThatLeaves: 'What that leaves on a front axle after 20 000 km, depths in {{unit}}',
  },
} as const;
