import type { Translation } from '@keen/core/screens';
import type { floorTools as english } from '../en/floorTools.ts';

export const floorTools: Translation<typeof english> = {
  formulaOfTheSkew: 'ángulo = atan( (derecha − izquierda) / vía )',
  none: 'ninguna',
  longerRight: '{{mm}} mm, más largo a la derecha',
  longerLeft: '{{mm}} mm, más largo a la izquierda',
  floorAcrossTheCar: 'El suelo de lado a lado',
  howFarTheFloor: 'Cuánto se aparta el suelo del nivel, y qué va bajo las ruedas bajas.',
  overTheTrack: 'Medido sobre, la vía',
  allIn: 'Unidad',
  riseOverIt: 'Subida en ese ancho',
  byAWaterHose: 'Con una manguera de agua, o un taco bajo un extremo de un nivel largo',
  highOnThe: 'Más alto a la',
  orALevelAcross: 'O un nivel de lado a lado marca, izquierda alta +',
  theSameTurnedEnd: 'El mismo nivel dado la vuelta, izquierda alta +',
  tellsTheFloorFrom: 'Distingue el suelo del error del propio nivel',
  mmOverAM: '6 mm en una vía de 1.5 m son 0.23°: toda caída se lee mal en eso.',
  slope: 'Inclinación',
  theLevelsOwnError: 'El error del propio nivel',
  slopeAtanRiseTrack:
    'inclinación = atan( subida / vía ), o (primera − vuelta) / 2; error = (primera + vuelta) / 2',
  plainGeometryReversingA:
    'Geometría sencilla; dar la vuelta al nivel es la manera usual de comprobarlo. Dentro de 1/16 in de lado a lado donde importan décimas de grado (práctica común, sin fuente).',
  tilesUnderWheelsMust:
    'Las placas bajo las ruedas no deben resbalar ni romperse: calce ambos lados, nadie en el coche.',
  axlesByTwoTapes: 'Ejes con dos cintas',
  hubToHubOn: 'De buje a buje por ambos lados a la vez: si los ejes están a escuadra entre sí.',
  wheelbaseLeft: 'Batalla, izquierda',
  wheelbaseRight: 'Batalla, derecha',
  track: 'Vía',
  mmLongerOnThe:
    '10 mm más a la izquierda en una vía de 1.5 m: el eje trasero apunta 0.38° a la izquierda.',
  rearAxleAgainstThe: 'Eje trasero frente al delantero',
  difference: 'Diferencia',
  plainGeometryTheTapes:
    'Geometría sencilla. Las cintas dicen que los ejes no están a escuadra, no cuál está torcido: un retraso delantero se ve igual.',
  frontWheelsStraightAhead:
    'Ruedas delanteras rectas; ambas cintas a la misma altura, tensadas igual. Nadie en el coche.',
  underRight: 'Bajo las ruedas derechas',
  underLeft: 'Bajo las ruedas izquierdas',
  square: 'a escuadra',
  toTheRight: '{{degrees}}° a la derecha',
  toTheLeft: '{{degrees}}° a la izquierda',
  highOnLeft: '{{degrees}}°, alto a la izquierda',
  highOnRight: '{{degrees}}°, alto a la derecha',
};
