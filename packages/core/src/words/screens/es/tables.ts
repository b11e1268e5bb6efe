import type * as english from '../en/tables.ts';
import type { Translation } from '../translation.ts';

export const tables: Translation<typeof english.tables> = {
  wheel: 'una rueda: LF, RF, LR o RR',
  wheelOnce: 'cada rueda una vez',
  number: 'un número',
  diameter: 'el diámetro en el que se midió la convergencia como longitud',
  angleWithin: (degrees) => `un ángulo dentro de ${degrees}°`,
  plate: 'una matrícula',
  depth: 'una profundidad, por ejemplo 5.3, 7/32 o x',
  rib: 'una banda: inner, centre u outer',
  profileHeading: 'un encabezado que empiece por wheel, along',
  profileWheel: 'lf, rf, lr o rr en la primera columna',
  along: 'mm a lo largo del dibujo en la segunda columna, 0 o más',
  heightIn: (column) => `una altura en mm en la columna ${column}`,
  heights: (least, most, got) => `de ${least} a ${most} alturas, no ${got}`,
  mostCuts: (most) => `como mucho ${most} cortes por neumático`,
  priceHeading: 'un encabezado con item y price',
  priceItem: (items) => `un artículo de la lista: ${items}`,
  priceCurrency: (currency) => `un precio en ${currency}`,
  price: (example) => `un precio, por ejemplo ${example}`,
};
