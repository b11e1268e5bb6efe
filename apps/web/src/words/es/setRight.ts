import type { Translation } from '@keen/core/screens';
import type { setRight as english } from '../en/setRight.ts';

export const setRight: Translation<typeof english> = {
  adjusterDialog: {
    fromTheWheel: 'Desde la rueda',
    remainingError: 'Error restante',
    templateToPrint: 'Plantilla para imprimir',
    backToThePlan: 'Volver al plan',
    noArmShimsAre:
      'Aún no hay suplementos de brazo en el taller; introdúzcalos en Fichas y existencias.',
    fromStock: 'De las existencias, {{words}}',
    part: 'Pieza: {{part}}',
    partTemplate: 'Pieza: {{part}}, plantilla {{template}}',
    none: 'ninguno',
    takeOutMm: 'quitar {{stack}} mm',
    addMm: 'añadir {{stack}} mm',
    nearestTo: 'lo más cercano a {{mm}}',
    frontBolt: 'tornillo delantero: {{what}}',
    rearBolt: 'tornillo trasero: {{what}}',
  },
  changedHeight: {
    liftedRodsThatSlope:
      'Elevado: las bieletas inclinadas tiran de las ruedas hacia la convergencia, la caída y el avance se mueven con los brazos, y las articulaciones y palieres trabajan en un ángulo pronunciado. Mire fuelles, latiguillos y el final del recorrido de cada articulación de tope a tope; unos brazos superiores más largos recuperan la caída y el avance. Se alinea enseguida, antes de recorrer mucho.',
    loweredCamberGoesNegative:
      'Rebajado: la caída se hace negativa y la convergencia se mueve. Mire los neumáticos contra la aleta y el amortiguador de tope a tope y con todo el recorrido. Se alinea enseguida, antes de recorrer mucho.',
    changedHeightWhatIt: 'Cambio de altura: qué hace con la caída y la convergencia',
    noChangeOfHeight:
      'Al llegar no se anotó ningún cambio de altura. Parta de una disposición típica; se pueden escribir los puntos del propio coche.',
    frontSuspension: 'Suspensión delantera',
    backToThePlan: 'Volver al plan',
    casterWithLevelArms:
      'Avance de {{from}} a {{to}} con los ejes de los brazos nivelados; el Banco admite ejes inclinados.',
    movedUp:
      'La parte delantera se subió {{mm}} mm. Parta de una disposición típica; los puntos del propio coche son mejores.',
    movedDown:
      'La parte delantera se bajó {{mm}} mm. Parta de una disposición típica; los puntos del propio coche son mejores.',
    raisedBy: 'Subido {{mm}} mm, cada rueda delantera cambia {{camber}} de caída y {{toe}}.',
    loweredBy: 'Bajado {{mm}} mm, cada rueda delantera cambia {{camber}} de caída y {{toe}}.',
    toeIn: '{{degrees}}° de convergencia',
    toeOut: '{{degrees}}° de divergencia',
    casterFromTo: 'Avance de {{from}} a {{to}}; el Banco admite ejes inclinados.',
  },
  closing: {
    done: 'Hecho',
    doesNotApply: 'No procede',
    beforeItIsGiven: 'Antes de entregarlo',
    allAnswered: 'todo contestado',
    ofOpen: '{{open}} de {{length}} por contestar',
    caution: '◆ Precaución',
    complaint: 'Queja: {{complaintWords}}',
    gone: 'Resuelta',
    stillThere: 'Sigue',
    kmIsUsualFor: '{{usualRecheckKm}} km es lo usual para la tornillería.',
    recheckAfter: 'Revisar después de',
    complaintIs: 'Queja: <b>{{complaint}}</b>',
    lookedAtAgain: 'La tornillería y los ángulos se vuelven a mirar después de',
  },
  fromEarlier: {
    onThisCar: 'En este coche, {{at}},',
    onCarsOfThis: 'En coches de esta ficha',
    oneMovedItBy: '{{from}} cada {{unit}} lo movió {{moved}}, más o menos {{sd}}.',
    startAtEachRod: 'Empiece con {{amount}} más o menos en cada bieleta, luego mida.',
    startWith: 'Empiece con {{amount}} más o menos, luego mida.',
  },
  learnedTurn: {
    toItTakesGive: '{{did}} Hasta {{words}} hacen falta {{amount}} {{more}}, más o menos {{max}}.',
    thatIsNoMore:
      '{{did}} No es más de lo que pueden diferir dos lecturas: gire más, o busque qué se agarrota.',
    atTheOneMoved: 'En la {{other}}, cada {{one}} lo movió {{perUnit}}.',
    builtAlikeUseIt: 'Igual construido: usarlo aquí',
    asAtThe: 'como en la {{other}}',
    againstTheWayAt: 'al revés que en la {{other}}',
    giveOrTakeLengthening:
      '{{amount}} {{more}}, más o menos {{max}}; alargar en un lado es alargar en el otro.',
    turnedBy: 'Girado, {{more}}',
    aNumberSuchAs: 'Un número, por ejemplo 1/2',
    whichWay: 'En qué sentido',
    theSameWay: 'El mismo sentido',
    turned: 'Girado',
    turnALittleSay: 'Gire un poco, diga cuánto y mida: el resto se calcula solo.',
    moreTheSameWay: '{{amount}} más, en el mismo sentido',
    back: '{{amount}} hacia atrás',
    turnedNowMeasure: 'Girado {{amount}}. <b>Ahora mídalo otra vez.</b>',
    movedIt: '{{amount}} lo movió de {{from}} a {{to}}.',
    movedItBack: '{{amount}} hacia atrás lo movió de {{from}} a {{to}}.',
    wayBack: 'Hacia atrás',
  },
  leaveIt: {
    setItAfterAll: 'Ajustarlo de todos modos',
    leaveItAsIt: 'Dejarlo como está',
  },
  planList: {
    next: 'Sigue: {{title}} {{next}}',
    whatToSet: 'Qué ajustar',
    done: 'Hecho',
    measureAgain: 'medir de nuevo',
    wants: '{{now}}, debe ser {{target}}',
  },
  setRightStep: {
    nothingIsMeasuredYet: 'Aún no hay nada medido.',
    thePlanIsMade:
      'El plan se hace a partir de los ángulos: qué está fuera, en qué orden y cuánto.',
    measureTheAngles: 'Medir los ángulos',
    aTechnicianOrThe:
      'Los ángulos los ajusta un técnico o el responsable; usted puede seguirlo leyendo.',
    theMakersSpecificationTorque:
      'Deciden la especificación, los pares y el procedimiento del fabricante, y el trabajo lo hace un técnico autorizado.',
    begin: 'Empezar',
    keepsTheseAnglesAs: 'guarda estos ángulos como los de antes',
    noStepSetsThis: 'Ningún paso ajusta esto',
    leftAsItIs: 'Dejado como está',
    steeringWheelHeldStraight: 'Con el volante recto: ¿qué rueda delantera no lo está?',
    left: 'Izquierda',
    right: 'Derecha',
    neither: 'Ninguna',
    liftAtPoints:
      'Eleve por los puntos del fabricante, sobre borriquetas o un elevador adecuado, con las ruedas calzadas.',
    workOnLeft:
      'El lado derecho está bien; trabaje en el <b>izquierdo</b>: busque ahí primero un brazo, mangueta o bieleta doblados.',
    workOnRight:
      'El lado izquierdo está bien; trabaje en el <b>derecho</b>: busque ahí primero un brazo, mangueta o bieleta doblados.',
  },
  stepAtHand: {
    by: 'en {{words}}',
    goToInspect: 'Ir a Inspeccionar',
    isSetWith: '{{title}} se ajusta con',
    workOutHowFar: 'Calcular cuánto giran las bieletas',
    workOutThe: 'Calcular: {{title}}',
    drivenOnlyWhenIt:
      'Se conduce solo cuando es seguro: tuercas de rueda y toda la tornillería aflojada con su par, una vía donde sea legal, un conductor con permiso.',
    onAStraightRoad: 'En una carretera recta queda',
    straight: 'Recto',
    toTheLeft: 'A la izquierda',
    toTheRight: 'A la derecha',
    withinReachItMoves: 'Al alcance: se mueve de {{degrees}} a {{degrees2}}.',
    outOfReach: 'Fuera de alcance.',
    itMovesByTo: 'Se mueve de {{degrees}} a {{degrees2}}; faltan {{short}}. ',
    nothingIsFittedTo: 'No hay nada montado con qué ajustarlo. ',
    inStockAnOffset: 'En existencias: un tornillo excéntrico de {{bolt}}°. ',
    whatWouldBringIt: 'Lo que lo permitiría: {{part}}. {{stock}}Si se queda así, {{otherwise}}.',
  },
  threadLeft: {
    threadLeftInThe: 'Rosca que queda en el terminal',
    threadInTheEnd: 'Rosca dentro ahora',
    diameterOfTheThread: 'Diámetro de la rosca',
    stayIn:
      'Quedan dentro <b>{{left}} mm</b>; vale el mínimo del fabricante, unos {{least}} mm si no lo da.',
    wouldStayIn:
      'Solo quedarían dentro <b>{{left}} mm</b>, menos que el grosor de la rosca: el terminal puede salirse y el coche quedar sin dirección. Bieletas más largas, o busque qué está doblado.',
  },
  adjusters: {
    toeRightAndThe:
      'Convergencia bien y volante torcido: media vuelta fuera en una bieleta, media vuelta dentro en la otra. Más o menos la misma rosca a la vista en ambas indica que está centrado.',
    aboutEqualThreadShowing:
      'Más o menos la misma rosca a la vista en ambas bieletas indica que está centrado.',
    loosenTheTowerNuts:
      'Afloje las tuercas de la torreta, mueva la cabeza del amortiguador y apriete al par del fabricante.',
    loosenTheStrutBolts:
      'Afloje los tornillos del amortiguador, incline la mangueta {{abs}}° y apriete al par del fabricante.',
    sleeves:
      'Las dos abrazaderas o contratuercas del manguito sueltas y marcadas; cuartos de vuelta; abrazaderas como estaban y apretadas, asiente el coche y mida otra vez.',
    sleevesAlike:
      'Las dos abrazaderas o contratuercas del manguito sueltas y marcadas; cuartos de vuelta, los mismos en ambos lados para que el volante siga recto; abrazaderas como estaban y apretadas, asiente el coche y mida otra vez.',
    rods: 'Contratuerca suelta y marcada; cuartos de vuelta; apretada, asiente el coche y mida otra vez.',
    rodsAlike:
      'Contratuerca suelta y marcada; cuartos de vuelta, los mismos en ambos lados para que el volante siga recto; apretada, asiente el coche y mida otra vez.',
    moreThreadLeft:
      'Se veía más rosca en la bieleta izquierda: centre la cremallera antes de girar las bieletas.',
    moreThreadRight:
      'Se veía más rosca en la bieleta derecha: centre la cremallera antes de girar las bieletas.',
  },
  turnWords: {
    aTouch: 'un poco',
    turn: 'vuelta',
    turns: 'vueltas',
    notch: 'muesca',
    notches: 'muescas',
  },
};
