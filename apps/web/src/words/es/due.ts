import type { Translation } from '@keen/core/screens';
import type { due as english } from '../en/due.ts';

export const due: Translation<typeof english> = {
  duePage: {
    backToToday: 'volver a Hoy',
    aMonth: 'Un mes',
    aQuarter: 'Un trimestre',
    all: 'Todo',
    due: 'Pendientes',
    lookingAhead: 'A la vista',
    loadingTheList: 'Cargando la lista',
    tryAgain: 'Reintentar',
    nobodyIsDue: 'No hay nadie pendiente.',
    whatIsPutOn: 'Lo que se pone en la lista al entregar un coche aparece aquí.',
    overdue: 'Vencidos',
    comingUp: 'Próximos',
    laterOnes: 'Ver posteriores',
    after: 'después de {{afterKm}} {{unit}}',
    done: 'Hecho',
    doneOf: 'Hecho: {{dueWords}}, {{name}}',
    dismiss: 'Descartar',
    dismissOf: 'Descartar: {{dueWords}}, {{name}}',
    visit: 'visita {{number}}',
  },
  useSettleDue: {
    theListHasChanged: 'La lista ha cambiado; vuelva a mirar.',
  },
};
