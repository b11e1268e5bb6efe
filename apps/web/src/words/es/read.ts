import type { Translation } from '@keen/core/screens';
import type { read as english } from '../en/read.ts';

export const read: Translation<typeof english> = {
  conflicts: {
    somebody: 'Alguien',
    place: 'lugar {{station}}',
    readTwiceDifferentlyWhich: '{{place}}: leída dos veces con resultado distinto. ¿Cuál vale?',
  },
  driveOver: {
    driveOverTheReader: 'Pasar sobre el lector',
    playIt: 'Simularlo',
    thatPassDoesNot: 'Esa pasada no vale: el coche iba {{refused}}. Dé la vuelta y pase otra vez.',
    theFileWasNot: 'El archivo no se importó. {{fileFault}} No se cambió nada.',
    nobodyStandsInFront:
      'Nadie se pone delante ni detrás de un coche que se mueve. Al paso, sin tocar el volante una vez recto.',
    openAFileOf: 'Abrir un archivo de perfiles',
    fileOfProfiles: 'Archivo de perfiles',
    backToReadingBy: 'Volver a leer a mano',
    slowerThanKmH: 'por debajo de {{slowestKmh}} km/h',
    fasterThanKmH: 'por encima de {{fastestKmh}} km/h',
    moreThanOutOf: 'más de {{skewDeg}}° torcido',
    steeringWhileItPassed: 'girando al pasar',
    theReaderWaitsFor:
      'El lector espera un coche: recto sobre él, de {{slowestKmh}} a {{fastestKmh}} km/h.',
    theReaderBrokeOff:
      'El lector se interrumpió; se le vuelve a llamar. Mientras tanto se puede abrir un archivo.',
    callingTheReader: 'Llamando al lector…',
  },
  keypad: {
    keypad: 'Teclado',
    backOne: 'una atrás',
    cannotBeRead: 'no se puede leer',
  },
  oddReading: {
    deeperThanTheIt: 'más profunda que los {{newMm}} {{unitWords}} que tenía nueva',
    farFromTheOf: 'lejos de los {{mm}} de la banda vecina ({{rib}})',
    itIsRight: 'Es correcta',
    readItAgain: 'Leerla otra vez',
    isItRight: '{{where}}, {{rib}}: <b>{{depth}}</b> es {{why}}. ¿Es correcta?',
  },
  otherEntry: {
    otherFormats: 'Otros formatos',
    aDepthSuchAs: 'Una profundidad, por ejemplo 3/32, 4.5 mm o 53',
  },
  passView: {
    places_one: '{{count}} lugar',
    places_other: '{{count}} lugares',
    notSeen: 'no visto',
    ofAnInch: '32avos de pulgada',
    noGrooveWasFound:
      'No se encontró ranura en {{unread}}. Lea ahí a mano: gastada del todo, u oculta por suciedad y agua.',
    lineExpected: 'Línea {{line}}: se esperaba {{expected}}.',
    takeTheseInsteadOf: 'Usar estas en lugar de lo leído',
    takeTheseReadings: 'Usar estas lecturas',
    leastDepth: 'Profundidad mínima de los lugares, {{unit}}. Línea de trazos: el límite legal.',
    linesLeftOut_one: 'Se omitió {{count}} línea.',
    linesLeftOut_other: 'Se omitieron {{count}} líneas.',
  },
  readStep: {
    theGaugeStoodOff:
      'El medidor no estaba sobre el dibujo. Colóquelo en la ranura y pulse otra vez.',
    theGaugeSentWhich: 'El medidor envió «{{text}}», que no es una profundidad. Pulse otra vez.',
    placeIsRead: 'El lugar {{station}} está leído',
    allTwelveAreRead: 'Las doce están leídas',
    readingOf: 'Lectura {{index}} de {{length}}',
    ofRead: '{{ribsRead}} de {{length}} leídas',
    placeRoundTheTire: 'lugar {{station}} del neumático',
    walkingRoundFromThe: 'rodeando el coche desde la delantera izquierda',
    backToTheMain: 'Volver a las lecturas principales',
    strokeEachTireAcross:
      'Ahora pase la mano por las bandas de cada neumático: si engancha en un sentido y es liso en el otro, distingue la convergencia de la caída.',
    inspect: 'Inspeccionar ↵',
    skipToTheDiagnosis: 'Ir directo al diagnóstico',
    justRead: 'Recién leída',
    cannotBeRead: 'no se puede leer',
    nothingYet: 'nada todavía',
    soFar: 'Hasta ahora',
    oneMorePlace: 'Un lugar más, {{wheelAtHand}}',
    undo: 'Deshacer',
    keysInMm: '<key>53</key> son 5.3 mm',
    keysIn32nds: '32avos, <key>7</key> entra al momento',
  },
  profileFile: {
    itIsTooLarge: 'Es demasiado grande: 5 MB como máximo.',
    itBeginsLikeJson: 'Empieza como JSON pero no está completo.',
    lineExpected: 'Línea {{line}}: se esperaba {{expected}}.',
    itHoldsNoCut: 'No contiene ningún corte de un dibujo.',
    theFile: 'El archivo',
    expected: '{{path}}: se esperaba {{expected}}.',
  },
  soFar: {
    aTireWithAll: 'Un neumático con las tres bandas dice más.',
    noTireSlopesBy: 'Ningún neumático está muy inclinado de borde a borde.',
    lowerOuter: 'La rueda {{where}} está {{shown}} {{unit}} más baja en su borde exterior.',
    lowerInner: 'La rueda {{where}} está {{shown}} {{unit}} más baja en su borde interior.',
  },
};
